/** Staff: who they are, their teams, when they are in. */
@ApplicationModule(allowedDependencies = {"platform", "feed", "mail", "access", "accounts"})
@NullMarked
package fabulum.server.people;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
