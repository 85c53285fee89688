/** Whose a conversation is: taken, handed over, given out, let go. */
@ApplicationModule(
    allowedDependencies = {
      "platform",
      "access",
      "accounts",
      "people",
      "lines",
      "topics",
      "conversations",
      "conversations :: changes",
      "conversations :: script"
    })
@NullMarked
package fabulum.server.ownership;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
