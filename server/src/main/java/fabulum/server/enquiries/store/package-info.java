/** Forms and enquiries in the database. */
@NullMarked
package fabulum.server.enquiries.store;

import org.jspecify.annotations.NullMarked;
