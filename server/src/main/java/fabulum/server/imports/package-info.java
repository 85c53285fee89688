/** Customers out of files: read, looked at, taken in, and taken back. */
@ApplicationModule(
    allowedDependencies = {
      "platform",
      "access",
      "accounts",
      "lines",
      "customers",
      "conversations",
      "clientele"
    })
@NullMarked
package fabulum.server.imports;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
