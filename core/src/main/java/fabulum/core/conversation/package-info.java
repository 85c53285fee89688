/** Turns and groups of a conversation, and what may follow what. */
@NullMarked
package fabulum.core.conversation;

import org.jspecify.annotations.NullMarked;
