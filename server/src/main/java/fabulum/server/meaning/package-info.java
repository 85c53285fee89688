/** The sentence model, where it is shipped: what texts mean, in whatever words. */
@ApplicationModule(allowedDependencies = {})
@NullMarked
package fabulum.server.meaning;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
