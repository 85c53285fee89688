/** What the network holds, compared with what we have, and what is missing taken in. */
@ApplicationModule(
    allowedDependencies = {"platform", "access", "accounts", "lines", "conversations", "messaging"})
@NullMarked
package fabulum.server.outage;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
