/** Removing for good over HTTP. */
@NullMarked
package fabulum.server.removal.web;

import org.jspecify.annotations.NullMarked;
