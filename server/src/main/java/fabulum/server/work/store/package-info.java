/** Appointments and jobs in the database. */
@NullMarked
package fabulum.server.work.store;

import org.jspecify.annotations.NullMarked;
