/** Identifying over HTTP. */
@NullMarked
package fabulum.server.identify.web;

import org.jspecify.annotations.NullMarked;
