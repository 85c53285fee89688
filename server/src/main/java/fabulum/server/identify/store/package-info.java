/** What was said lately, by customer and by number. */
@NullMarked
package fabulum.server.identify.store;

import org.jspecify.annotations.NullMarked;
