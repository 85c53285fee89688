/** When a text that is planned goes: once, or again and again by a rule of dates. */
@NullMarked
package fabulum.core.schedule;

import org.jspecify.annotations.NullMarked;
