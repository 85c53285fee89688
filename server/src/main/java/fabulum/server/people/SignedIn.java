package fabulum.server.people;

import java.io.Serializable;

/** Who is signed in, as the session keeps it. */
public record SignedIn(
    long staffId, String name, String initials, Role role, boolean mustChangePassword)
    implements Serializable {

  /** Their id. */
  public StaffId id() {
    return new StaffId(staffId);
  }

  /** After a sign-in that succeeded. */
  public static SignedIn of(SignIn.Welcome welcome) {
    StaffView staff = welcome.staff();
    return new SignedIn(
        staff.id(), staff.name(), staff.initials(), staff.role(), welcome.mustChangePassword());
  }
}
