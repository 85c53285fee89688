/**
 * What a text says by its words: their stems, names and nicknames, and who introduces themselves.
 */
@NullMarked
package fabulum.core.reading;

import org.jspecify.annotations.NullMarked;
