/** Reading a numbered feed of changes whose numbers may become visible out of order. */
@NullMarked
package fabulum.core.feed;

import org.jspecify.annotations.NullMarked;
