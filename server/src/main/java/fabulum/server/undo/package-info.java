/** Taking back what was done a moment ago. */
@ApplicationModule(
    allowedDependencies = {
      "platform",
      "access",
      "accounts",
      "people",
      "conversations",
      "conversations :: changes"
    })
@NullMarked
package fabulum.server.undo;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
