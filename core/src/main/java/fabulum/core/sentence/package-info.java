/** The sentence that says which conversations a list shows, and what it means. */
@NullMarked
package fabulum.core.sentence;

import org.jspecify.annotations.NullMarked;
