/** Changes told to open browsers as they happen. */
@ApplicationModule(
    allowedDependencies = {
      "platform",
      "feed",
      "access",
      "accounts",
      "people",
      "lines",
      "conversations",
      "conversations :: changes",
      "conversations :: script",
      "inbox",
      "ownership",
      "presence",
      "notices",
      "setup",
      "templates",
      "writing"
    })
@NullMarked
package fabulum.server.live;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
