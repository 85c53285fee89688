/** Table of the outbox. */
@NullMarked
package fabulum.server.messaging.store;

import org.jspecify.annotations.NullMarked;
