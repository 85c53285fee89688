/** Enquiries from the business's web site, which become text conversations. */
@ApplicationModule(
    allowedDependencies = {
      "platform",
      "access",
      "accounts",
      "lines",
      "customers",
      "conversations",
      "sending",
      "messaging",
      "programs"
    })
@NullMarked
package fabulum.server.enquiries;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
