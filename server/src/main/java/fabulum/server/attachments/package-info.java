/**
 * What goes or comes with texts: kept once by content beside the database, made ready to be sent,
 * fetched from the network, and handed to it.
 */
@ApplicationModule(allowedDependencies = {"platform", "access", "accounts"})
@NullMarked
package fabulum.server.attachments;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
