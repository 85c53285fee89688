/** What is kept of customers: their extra fields, and who may be on file twice. */
@NullMarked
package fabulum.core.customer;

import org.jspecify.annotations.NullMarked;
