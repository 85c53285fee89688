/**
 * Quillhaven Boatyard: hand-written situations turned into data, and the application started with
 * them.
 */
@NullMarked
package fabulum.demo;

import org.jspecify.annotations.NullMarked;
