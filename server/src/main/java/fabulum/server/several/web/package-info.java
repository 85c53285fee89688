/** Batches over HTTP. */
@NullMarked
package fabulum.server.several.web;

import org.jspecify.annotations.NullMarked;
