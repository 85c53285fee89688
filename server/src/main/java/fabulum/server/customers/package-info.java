/** Customers, numbers, and who holds which. */
@ApplicationModule(allowedDependencies = {"platform", "feed", "access", "accounts", "lines"})
@NullMarked
package fabulum.server.customers;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
