/** Where the phone network fetches what goes with our texts. */
@NullMarked
package fabulum.server.attachments.web;

import org.jspecify.annotations.NullMarked;
