/** What the rest of the program is told when conversations change. */
@NamedInterface("changes")
@NullMarked
package fabulum.server.conversations.changes;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.NamedInterface;
