/** Reports over HTTP. */
@NullMarked
package fabulum.server.figures.web;

import org.jspecify.annotations.NullMarked;
