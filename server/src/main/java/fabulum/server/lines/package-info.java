/** Sites and the lines texts arrive on and leave from. */
@ApplicationModule(allowedDependencies = {"platform", "access", "accounts", "people"})
@NullMarked
package fabulum.server.lines;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
