/**
 * Numbers that turn out to be wrong: no more texts to them, and asking the customer for the right
 * one.
 */
@ApplicationModule(
    allowedDependencies = {
      "platform",
      "mail",
      "access",
      "accounts",
      "lines",
      "customers",
      "conversations",
      "sending",
      "messaging"
    })
@NullMarked
package fabulum.server.wrongnumbers;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
