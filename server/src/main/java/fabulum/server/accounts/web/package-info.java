/** Security over HTTP. */
@NullMarked
package fabulum.server.accounts.web;

import org.jspecify.annotations.NullMarked;
