/** The front office over HTTP. */
@NullMarked
package fabulum.server.office.web;

import org.jspecify.annotations.NullMarked;
