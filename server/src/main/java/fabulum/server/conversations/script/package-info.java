/** How the lines of a script are shown. */
@NamedInterface("script")
@NullMarked
package fabulum.server.conversations.script;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.NamedInterface;
