package fabulum.server.programs;

/** What another program may do. Who may change something may read it as well. */
public enum ProgramRight {
  READ_CUSTOMERS,
  /** Makes and changes customers and their numbers. */
  CHANGE_CUSTOMERS,
  READ_APPOINTMENTS,
  CHANGE_APPOINTMENTS,
  READ_JOBS,
  CHANGE_JOBS,
  /** Hands in enquiries from a web site. */
  SEND_ENQUIRIES;

  /** Whether it includes another one. */
  boolean includes(ProgramRight other) {
    return this == other || name().equals(other.name().replace("READ_", "CHANGE_"));
  }
}
