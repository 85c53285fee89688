/** What goes or comes with a text: pictures, sound, documents. */
@NullMarked
package fabulum.core.attachment;

import org.jspecify.annotations.NullMarked;
