package fabulum.server.people;

/** Whether somebody works here. */
public enum Standing {
  /** Asked in, and not come yet. */
  INVITED,
  ACTIVE,
  /** Has left; what they wrote stays theirs. */
  OFF
}
