/**
 * A number that was on file for a customer and is somebody else's, and the way to the right one.
 */
@NullMarked
package fabulum.core.wrongnumber;

import org.jspecify.annotations.NullMarked;
