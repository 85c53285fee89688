/** Forward-only delivery states, retry waits, and the port to the phone network. */
@NullMarked
package fabulum.core.delivery;

import org.jspecify.annotations.NullMarked;
