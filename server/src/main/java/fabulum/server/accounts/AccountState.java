package fabulum.server.accounts;

/** Whether somebody works here. */
public enum AccountState {
  /** Asked in, and not come yet. */
  INVITED,
  ACTIVE,
  /** Has left; what they wrote stays theirs. */
  OFF
}
