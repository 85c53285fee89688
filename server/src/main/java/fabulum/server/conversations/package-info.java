/** Conversations: their script, whose turn it is, what is done with them. */
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
      "topics"
    })
@NullMarked
package fabulum.server.conversations;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
