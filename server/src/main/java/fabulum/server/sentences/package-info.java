/** Sentences that were saved, for the person who saved them or for a team. */
@ApplicationModule(
    allowedDependencies = {"platform", "access", "accounts", "people", "conversations", "inbox"})
@NullMarked
package fabulum.server.sentences;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
