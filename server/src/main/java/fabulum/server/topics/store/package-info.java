/** Tables of topics. */
@NullMarked
package fabulum.server.topics.store;

import org.jspecify.annotations.NullMarked;
