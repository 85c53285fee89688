/** The live stream over HTTP. */
@NullMarked
package fabulum.server.live.web;

import org.jspecify.annotations.NullMarked;
