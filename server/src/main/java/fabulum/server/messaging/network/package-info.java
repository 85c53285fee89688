/** The phone network spoken to over HTTP. */
@NullMarked
package fabulum.server.messaging.network;

import org.jspecify.annotations.NullMarked;
