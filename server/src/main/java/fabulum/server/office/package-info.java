/** The whole front office at a glance, and moving work about in it. */
@ApplicationModule(
    allowedDependencies = {
      "platform",
      "mail",
      "access",
      "accounts",
      "people",
      "lines",
      "conversations",
      "inbox",
      "ownership",
      "undo"
    })
@NullMarked
package fabulum.server.office;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
