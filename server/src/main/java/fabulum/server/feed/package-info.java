/** One numbered list of everything that changes, from which others catch up. */
@ApplicationModule(allowedDependencies = {"platform"})
@NullMarked
package fabulum.server.feed;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
