/** Appointments and jobs over HTTP. */
@NullMarked
package fabulum.server.work.web;

import org.jspecify.annotations.NullMarked;
