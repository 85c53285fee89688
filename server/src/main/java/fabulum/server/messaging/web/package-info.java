/** The webhook, sending, and counting parts over HTTP. */
@NullMarked
package fabulum.server.messaging.web;

import org.jspecify.annotations.NullMarked;
