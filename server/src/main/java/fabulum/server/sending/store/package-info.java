/** Tables of agreement and of what is set about sending. */
@NullMarked
package fabulum.server.sending.store;

import org.jspecify.annotations.NullMarked;
