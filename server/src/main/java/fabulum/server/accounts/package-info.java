/** Signing in: names, passwords, sessions, and slowing down guesses. */
@ApplicationModule(allowedDependencies = {"platform", "access"})
@NullMarked
package fabulum.server.accounts;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
