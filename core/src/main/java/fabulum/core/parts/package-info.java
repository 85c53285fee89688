/** Encoding and billed parts of a text, after 3GPP TS 23.038 and TS 23.040. */
@NullMarked
package fabulum.core.parts;

import org.jspecify.annotations.NullMarked;
