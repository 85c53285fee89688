/** Tables of sign-ins. */
@NullMarked
package fabulum.server.accounts.store;

import org.jspecify.annotations.NullMarked;
