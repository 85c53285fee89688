/** What each person may do, and the log of what was allowed and to whom. */
@ApplicationModule(allowedDependencies = {"platform"})
@NullMarked
package fabulum.server.access;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
