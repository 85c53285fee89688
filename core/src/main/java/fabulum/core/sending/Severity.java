package fabulum.core.sending;

/** How much a reason weighs against a text, in rising order. */
public enum Severity {
  /** Not at all; it is not even said. */
  IGNORE,
  /** It is said beside the button. */
  TELL,
  /** The text goes when its writer confirms. */
  ASK,
  /** The text does not go. */
  REFUSE
}
