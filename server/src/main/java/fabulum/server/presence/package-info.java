/** Who is looking at which conversation, and who is writing. */
@ApplicationModule(
    allowedDependencies = {"platform", "access", "accounts", "people", "conversations"})
@NullMarked
package fabulum.server.presence;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
