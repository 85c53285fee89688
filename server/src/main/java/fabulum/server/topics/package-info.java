/** Topics: what conversations are about, a short list for each team. */
@ApplicationModule(allowedDependencies = {"platform", "access", "accounts", "people"})
@NullMarked
package fabulum.server.topics;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
