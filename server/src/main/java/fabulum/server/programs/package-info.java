/**
 * Other programs that keep customers, appointments and jobs in step, each with a key of its own.
 */
@ApplicationModule(
    allowedDependencies = {
      "platform",
      "access",
      "accounts",
      "people",
      "lines",
      "customers",
      "conversations",
      "work"
    })
@NullMarked
package fabulum.server.programs;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
