package fabulum.server.numbers;

/** What a number can receive. */
public enum Reach {
  /** Texts. */
  MOBILE,
  /** Calls only. */
  LANDLINE,
  /** Nothing: nobody has it. */
  UNREACHABLE
}
