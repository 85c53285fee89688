package fabulum.server.accounts;

import fabulum.server.access.StaffId;
import java.io.Serializable;

/**
 * Who is signed in, as the session keeps it.
 *
 * @param signInId names the sign-in, which can be ended from elsewhere
 */
public record SignedIn(long staffId, long signInId, boolean mustChangePassword)
    implements Serializable {

  /** Their id. */
  public StaffId id() {
    return new StaffId(staffId);
  }
}
