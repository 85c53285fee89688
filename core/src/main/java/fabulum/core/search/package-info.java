/** What people look for in what was said, and whether a text has it. */
@NullMarked
package fabulum.core.search;

import org.jspecify.annotations.NullMarked;
