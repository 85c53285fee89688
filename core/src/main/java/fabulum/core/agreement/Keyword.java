package fabulum.core.agreement;

/** What a customer asks for with a single word. */
public enum Keyword {
  /** No more texts. */
  STOP,
  /** Texts again. */
  START,
  /** Who writes here, and how to reach them. */
  HELP
}
