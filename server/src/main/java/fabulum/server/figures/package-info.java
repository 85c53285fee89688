/** Figures of what was done: sums of days, kept as things happen, and reports from them. */
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
      "conversations :: changes",
      "inbox",
      "cost",
      "mail",
      "sentences"
    })
@NullMarked
package fabulum.server.figures;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
