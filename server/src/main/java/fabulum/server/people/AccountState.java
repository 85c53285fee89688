package fabulum.server.people;

/** Whether somebody works here. */
public enum AccountState {
  /** Asked in, and not come yet. */
  INVITED,
  ACTIVE,
  /** Has left; what they wrote stays theirs. */
  OFF
}
