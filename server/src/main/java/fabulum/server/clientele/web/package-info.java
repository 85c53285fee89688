/** Customers over HTTP. */
@NullMarked
package fabulum.server.clientele.web;

import org.jspecify.annotations.NullMarked;
