package fabulum.server.accounts.store;

import fabulum.server.accounts.AccountState;

/** What signing in needs to know of a member of staff. */
public record AccountRow(
    long id,
    String signInName,
    String fullName,
    String passwordHash,
    boolean mustChangePassword,
    AccountState standing) {

  /** Whether they may sign in. */
  public boolean isActive() {
    return standing == AccountState.ACTIVE;
  }

  @Override
  public String toString() {
    return "AccountRow[" + id + "]";
  }
}
