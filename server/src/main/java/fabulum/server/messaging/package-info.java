/** Texts in and out: the webhook, the outbox and its dispatcher. */
@ApplicationModule(
    allowedDependencies = {
      "platform",
      "access",
      "accounts",
      "people",
      "attachments",
      "lines",
      "customers",
      "conversations",
      "conversations :: changes",
      "cost",
      "sending",
      "undo",
      "ownership",
      "writing"
    })
@NullMarked
package fabulum.server.messaging;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
