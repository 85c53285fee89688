/**
 * Templates: texts written once and used often, the links they point to, and what they are used
 * for.
 */
@ApplicationModule(
    allowedDependencies = {
      "platform",
      "access",
      "accounts",
      "people",
      "attachments",
      "lines",
      "customers",
      "conversations",
      "cost",
      "sending",
      "messaging",
      "meaning",
      "work",
      "imports"
    })
@NullMarked
package fabulum.server.templates;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
