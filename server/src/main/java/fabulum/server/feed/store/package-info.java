/** The table of the feed. */
@NullMarked
package fabulum.server.feed.store;

import org.jspecify.annotations.NullMarked;
