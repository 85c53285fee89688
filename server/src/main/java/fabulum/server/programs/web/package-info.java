/** What other programs ask over HTTP. */
@NullMarked
package fabulum.server.programs.web;

import org.jspecify.annotations.NullMarked;
