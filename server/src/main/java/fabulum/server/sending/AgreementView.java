package fabulum.server.sending;

import fabulum.core.agreement.Agreement;
import fabulum.core.agreement.Agreement.Said;
import fabulum.core.agreement.AgreementChange;
import fabulum.core.agreement.Ground;
import fabulum.core.sending.SendQuestion.NumberState;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the holders of a number allow the line of a conversation to text them.
 *
 * @param number what is known of the number itself
 * @param service about answers and service texts
 * @param news about news and offers
 * @param firstWroteAt when the first text came from the number; null for none yet
 * @param history all that was noted, in order
 * @param asksToStop the id of the customer's last text, where it plainly asks for no more texts and
 *     waits for an answer; null otherwise
 */
public record AgreementView(
    NumberState number,
    SaidView service,
    SaidView news,
    @Nullable Instant firstWroteAt,
    List<NotedChange> history,
    @Nullable Long asksToStop) {

  /**
   * What they said about one kind of text.
   *
   * @param ground on what ground; null when nothing is known
   * @param since since when; null when nothing is known
   * @param until until when; null for no end
   */
  public record SaidView(
      Agreement.Answer answer,
      @Nullable Ground ground,
      @Nullable Instant since,
      @Nullable Instant until) {
    static SaidView of(Said said) {
      return new SaidView(
          said.answer(),
          said.by().map(AgreementChange::ground).orElse(null),
          said.by().map(AgreementChange::at).orElse(null),
          said.by().flatMap(AgreementChange::until).orElse(null));
    }
  }
}
