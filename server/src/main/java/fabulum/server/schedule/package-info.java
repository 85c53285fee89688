/** Texts that go later, or again and again. */
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
      "sending",
      "ownership",
      "writing",
      "inbox",
      "messaging",
      "work",
      "templates"
    })
@NullMarked
package fabulum.server.schedule;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
