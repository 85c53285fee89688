/** The inbox over HTTP. */
@NullMarked
package fabulum.server.inbox.web;

import org.jspecify.annotations.NullMarked;
