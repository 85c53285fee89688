/** Staff: who they are, how they sign in. */
@ApplicationModule(allowedDependencies = {"platform", "mail"})
@NullMarked
package fabulum.server.people;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
