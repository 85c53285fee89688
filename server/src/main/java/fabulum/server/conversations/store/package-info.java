/** Tables of conversations, entries and drafts. */
@NullMarked
package fabulum.server.conversations.store;

import org.jspecify.annotations.NullMarked;
