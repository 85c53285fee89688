/** Appointments with customers and jobs for them. */
@ApplicationModule(
    allowedDependencies = {
      "platform",
      "access",
      "accounts",
      "people",
      "lines",
      "customers",
      "conversations"
    })
@NullMarked
package fabulum.server.work;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
