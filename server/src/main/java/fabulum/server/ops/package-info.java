/** For those who run Fabulum: health, metrics and backup, behind a key. */
@ApplicationModule(allowedDependencies = {"platform", "messaging", "live"})
@NullMarked
package fabulum.server.ops;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
