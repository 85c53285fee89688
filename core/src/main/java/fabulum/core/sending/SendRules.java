package fabulum.core.sending;

import fabulum.core.parts.PartCounter;
import fabulum.core.phone.Sender;
import fabulum.core.sending.SendDecision.Reason;
import java.util.ArrayList;
import java.util.List;

/** The rules a text must pass before it may go. */
public final class SendRules {
  /** The longest text, in UTF-16 units: a little over ten basic parts. */
  public static final int LONGEST = 1600;

  private SendRules() {}

  /**
   * Decides about one text.
   *
   * @param words what is to be sent
   * @param to whom
   * @param lineInUse whether the line it would leave from is switched on
   */
  public static SendDecision decide(String words, Sender to, boolean lineInUse) {
    List<Reason> why = new ArrayList<>();
    if (words.isBlank()) {
      why.add(Reason.EMPTY);
    }
    if (words.length() > LONGEST) {
      why.add(Reason.TOO_LONG);
    }
    if (to.answerable().isEmpty()) {
      why.add(Reason.CANNOT_BE_ANSWERED);
    }
    if (!lineInUse) {
      why.add(Reason.LINE_CLOSED_DOWN);
    }
    return why.isEmpty()
        ? new SendDecision.Allowed(PartCounter.count(words).count())
        : new SendDecision.Refused(why);
  }
}
