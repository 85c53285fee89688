/** Lines over HTTP. */
@NullMarked
package fabulum.server.lines.web;

import org.jspecify.annotations.NullMarked;
