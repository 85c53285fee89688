/** Setting up lines, sites and topics, and who changed what. */
@ApplicationModule(
    allowedDependencies = {
      "platform",
      "feed",
      "access",
      "accounts",
      "people",
      "lines",
      "topics",
      "customers",
      "conversations",
      "cost",
      "sending",
      "ownership",
      "notices",
      "programs",
      "numbers",
      "templates"
    })
@NullMarked
package fabulum.server.setup;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
