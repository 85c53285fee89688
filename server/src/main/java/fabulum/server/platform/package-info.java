/** The one wall clock, the database file, problems as documents, and what every module may use. */
@ApplicationModule(
    type = ApplicationModule.Type.OPEN,
    allowedDependencies = {})
@NullMarked
package fabulum.server.platform;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
