/** Which answers of before suit what a customer asks now. */
@NullMarked
package fabulum.core.suggest;

import org.jspecify.annotations.NullMarked;
