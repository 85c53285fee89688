/** Telling people what came, what names them, and what is soon late or late. */
@ApplicationModule(
    allowedDependencies = {
      "platform",
      "access",
      "accounts",
      "people",
      "mail",
      "lines",
      "conversations",
      "conversations :: script",
      "inbox",
      "ownership",
      "presence",
      "writing",
      "undo",
      "messaging",
      "schedule"
    })
@NullMarked
package fabulum.server.notices;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
