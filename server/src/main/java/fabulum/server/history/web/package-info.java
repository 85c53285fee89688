/** History over HTTP. */
@NullMarked
package fabulum.server.history.web;

import org.jspecify.annotations.NullMarked;
