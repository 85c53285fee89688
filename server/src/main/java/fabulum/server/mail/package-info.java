/** Mail that leaves Fabulum. */
@ApplicationModule(allowedDependencies = {"platform"})
@NullMarked
package fabulum.server.mail;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
