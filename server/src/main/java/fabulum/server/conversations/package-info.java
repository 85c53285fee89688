/** Conversations, their script, the inbox and drafts. */
@ApplicationModule(allowedDependencies = {"platform", "people", "lines", "customers", "topics"})
@NullMarked
package fabulum.server.conversations;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
