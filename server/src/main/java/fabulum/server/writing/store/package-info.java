/** Tables of notes and drafts. */
@NullMarked
package fabulum.server.writing.store;

import org.jspecify.annotations.NullMarked;
