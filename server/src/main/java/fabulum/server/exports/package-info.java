/** What was said, taken out as PDF, CSV or JSON, with what came with it. */
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
      "history"
    })
@NullMarked
package fabulum.server.exports;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
