/** Comparing with the network over HTTP. */
@NullMarked
package fabulum.server.outage.web;

import org.jspecify.annotations.NullMarked;
