/** Reading, normalising and comparing the numbers texts come from and go to. */
@NullMarked
package fabulum.core.phone;

import org.jspecify.annotations.NullMarked;
