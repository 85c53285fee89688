/** Saved sentences over HTTP. */
@NullMarked
package fabulum.server.sentences.web;

import org.jspecify.annotations.NullMarked;
