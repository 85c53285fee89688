/**
 * Customers, appointments, jobs and texts of the time before, out of files: read, looked at, taken
 * in, and taken back.
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
      "clientele",
      "work"
    })
@NullMarked
package fabulum.server.imports;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
