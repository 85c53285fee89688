/** Set-up over HTTP. */
@NullMarked
package fabulum.server.setup.web;

import org.jspecify.annotations.NullMarked;
