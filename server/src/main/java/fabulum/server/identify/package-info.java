/** Who writes from a number: the evidence, what people say of it, and taking that back. */
@ApplicationModule(
    allowedDependencies = {
      "platform",
      "feed",
      "access",
      "accounts",
      "people",
      "lines",
      "customers",
      "numbers",
      "conversations",
      "conversations :: changes",
      "meaning"
    })
@NullMarked
package fabulum.server.identify;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
