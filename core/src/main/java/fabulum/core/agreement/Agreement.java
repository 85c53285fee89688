package fabulum.core.agreement;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * What the holders of a number allow a line to text them.
 *
 * @param service answers and service texts
 * @param news news and offers
 */
public record Agreement(Said service, Said news) {

  /** What they said about one kind of text. */
  public enum Answer {
    /** They agreed. */
    AGREED,
    /** Nothing is known, or their agreement has ended. */
    NOT_SAID,
    /** They opted out. */
    OPTED_OUT
  }

  /**
   * What they said about one kind of text, and the change that decided it.
   *
   * @param by empty when nothing is known
   */
  public record Said(Answer answer, Optional<AgreementChange> by) {
    static final Said NOTHING = new Said(Answer.NOT_SAID, Optional.empty());
  }

  /** Nothing is known. */
  public static final Agreement UNKNOWN = new Agreement(Said.NOTHING, Said.NOTHING);

  /**
   * What holds at a time. The last change about a kind of text decides, with one exception: who
   * opted out by a keyword opts in by a keyword only, whatever others note of them.
   *
   * @param history in the order in which it was noted
   * @param line the line that wants to text, by its id
   */
  public static Agreement at(List<AgreementChange> history, long line, Instant now) {
    return new Agreement(
        said(history, TextKind.SERVICE, line, now), said(history, TextKind.NEWS, line, now));
  }

  private static Said said(List<AgreementChange> history, TextKind kind, long line, Instant now) {
    Said said = Said.NOTHING;
    for (AgreementChange change : history) {
      if (change.concerns(line) && change.kinds().contains(kind) && !isLocked(said, change)) {
        said = new Said(change.given() ? Answer.AGREED : Answer.OPTED_OUT, Optional.of(change));
      }
    }
    boolean over =
        said.by().flatMap(AgreementChange::until).filter(until -> !until.isAfter(now)).isPresent();
    return over && said.answer() == Answer.AGREED ? new Said(Answer.NOT_SAID, said.by()) : said;
  }

  private static boolean isLocked(Said said, AgreementChange change) {
    boolean byKeyword = said.by().filter(by -> by.ground() == Ground.KEYWORD).isPresent();
    return said.answer() == Answer.OPTED_OUT && byKeyword && change.ground() != Ground.KEYWORD;
  }

  /** What they said about a kind of text. */
  public Said of(TextKind kind) {
    return switch (kind) {
      case SERVICE -> service;
      case NEWS -> news;
    };
  }
}
