/** When people are told of what waits. */
@NullMarked
package fabulum.core.notice;

import org.jspecify.annotations.NullMarked;
