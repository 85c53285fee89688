package fabulum.server.people.store;

import fabulum.server.people.Role;

/** A row of staff. */
public record StaffRow(
    long id,
    String signInName,
    String fullName,
    String initials,
    Role role,
    String passwordHash,
    boolean mustChangePassword) {

  @Override
  public String toString() {
    return "StaffRow[" + id + "]";
  }
}
