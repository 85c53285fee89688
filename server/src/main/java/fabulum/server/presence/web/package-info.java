/** Presence over HTTP. */
@NullMarked
package fabulum.server.presence.web;

import org.jspecify.annotations.NullMarked;
