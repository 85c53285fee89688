/** Tables of attachments. */
@NullMarked
package fabulum.server.attachments.store;

import org.jspecify.annotations.NullMarked;
