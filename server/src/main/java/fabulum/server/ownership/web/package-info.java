/** Ownership over HTTP. */
@NullMarked
package fabulum.server.ownership.web;

import org.jspecify.annotations.NullMarked;
