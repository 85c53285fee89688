/** The table of saved sentences. */
@NullMarked
package fabulum.server.sentences.store;

import org.jspecify.annotations.NullMarked;
