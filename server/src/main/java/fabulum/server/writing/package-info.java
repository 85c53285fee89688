/** What people write: notes, drafts, and whom they write to. */
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
      "conversations :: script",
      "sending",
      "ownership"
    })
@NullMarked
package fabulum.server.writing;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
