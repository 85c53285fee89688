/** Tables of mail. */
@NullMarked
package fabulum.server.mail.store;

import org.jspecify.annotations.NullMarked;
