/**
 * Texts that are written once and used often, with placeholders that are filled or reported
 * missing.
 */
@NullMarked
package fabulum.core.template;

import org.jspecify.annotations.NullMarked;
