package fabulum.core.sending;

import java.util.List;

/** Whether a text may go. */
public sealed interface SendDecision {

  /**
   * It may.
   *
   * @param parts billed parts it will take, 1 or more
   */
  record Allowed(int parts) implements SendDecision {}

  /**
   * It may not.
   *
   * @param why every reason, never empty
   */
  record Refused(List<Reason> why) implements SendDecision {
    public Refused {
      why = List.copyOf(why);
    }
  }

  /** A reason a text may not go, with the sentence a person reads. */
  enum Reason {
    EMPTY("Write something first."),
    TOO_LONG(
        "It is longer than " + SendRules.LONGEST + " characters. Shorten it or send it in two."),
    CANNOT_BE_ANSWERED(
        "This sender is a name or short code, not a phone number, so it cannot be answered."),
    LINE_CLOSED_DOWN("This line is switched off, so nothing can be sent from it.");

    private final String sentence;

    Reason(String sentence) {
      this.sentence = sentence;
    }

    /** What a person reads. */
    public String sentence() {
      return sentence;
    }
  }
}
