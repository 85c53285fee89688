/** One act on several conversations at once. */
@ApplicationModule(
    allowedDependencies = {
      "platform",
      "access",
      "accounts",
      "people",
      "lines",
      "topics",
      "customers",
      "conversations",
      "inbox",
      "undo",
      "messaging",
      "sending"
    })
@NullMarked
package fabulum.server.several;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
