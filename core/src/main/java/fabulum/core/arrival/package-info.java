/** When texts that come in were written, as far as that can be believed. */
@NullMarked
package fabulum.core.arrival;

import org.jspecify.annotations.NullMarked;
