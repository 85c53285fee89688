/** Templates over HTTP. */
@NullMarked
package fabulum.server.templates.web;

import org.jspecify.annotations.NullMarked;
