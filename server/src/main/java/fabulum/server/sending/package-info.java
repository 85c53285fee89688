/**
 * The one decision before anything goes: what customers allow, and what else speaks against a text.
 */
@ApplicationModule(
    allowedDependencies = {
      "platform",
      "access",
      "accounts",
      "people",
      "attachments",
      "lines",
      "cost",
      "customers",
      "conversations"
    })
@NullMarked
package fabulum.server.sending;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
