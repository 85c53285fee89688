/** What an outside service says of numbers: what they can receive, and under which name. */
@ApplicationModule(
    allowedDependencies = {
      "platform",
      "access",
      "accounts",
      "people",
      "lines",
      "customers",
      "conversations",
      "conversations :: changes"
    })
@NullMarked
package fabulum.server.numbers;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
