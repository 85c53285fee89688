/** All that was said, over every line: found by a sentence and by words. */
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
      "sending",
      "inbox",
      "meaning",
      "clientele"
    })
@NullMarked
package fabulum.server.history;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
