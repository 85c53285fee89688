/** Removing customers for good, on a person's wish to be forgotten. */
@ApplicationModule(
    allowedDependencies = {
      "platform",
      "access",
      "accounts",
      "people",
      "attachments",
      "lines",
      "customers",
      "conversations"
    })
@NullMarked
package fabulum.server.removal;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
