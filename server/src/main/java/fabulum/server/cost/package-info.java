/** What texts cost, how many may be sent, and how many were bought ahead. */
@ApplicationModule(
    allowedDependencies = {"platform", "mail", "access", "accounts", "people", "lines"})
@NullMarked
package fabulum.server.cost;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
