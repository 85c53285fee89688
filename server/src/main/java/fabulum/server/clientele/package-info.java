/** The customers as people look at them: all of them in one place, each on a page, their story. */
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
      "conversations :: script",
      "sending",
      "identify",
      "work"
    })
@NullMarked
package fabulum.server.clientele;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
