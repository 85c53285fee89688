package fabulum.server.accounts;

/** Whether someone works here. */
public enum AccountState {
  /** Asked in, and not come yet. */
  INVITED,
  ACTIVE,
  /** Has left; what they wrote stays theirs. */
  OFF
}
