/** Customers out of a file: which column is what, and what each row says. */
@NullMarked
package fabulum.core.imports;

import org.jspecify.annotations.NullMarked;
