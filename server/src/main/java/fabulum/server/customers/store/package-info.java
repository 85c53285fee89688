/** Tables of customers and numbers. */
@NullMarked
package fabulum.server.customers.store;

import org.jspecify.annotations.NullMarked;
