/** The list, its counts, the time ribbon, the script and the dossier, as each person sees them. */
@ApplicationModule(
    allowedDependencies = {
      "platform",
      "feed",
      "access",
      "accounts",
      "people",
      "attachments",
      "lines",
      "customers",
      "topics",
      "conversations",
      "conversations :: changes",
      "conversations :: script",
      "ownership",
      "presence",
      "sending",
      "writing"
    })
@NullMarked
package fabulum.server.inbox;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
