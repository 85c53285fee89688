/** Undo over HTTP. */
@NullMarked
package fabulum.server.undo.web;

import org.jspecify.annotations.NullMarked;
