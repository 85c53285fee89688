package fabulum.core.sending;

import java.util.List;
import java.util.Set;

/**
 * Whether a text may go, with everything that speaks against it.
 *
 * @param parts billed parts it takes; 0 for none
 * @param objections in the order of {@link Reason}
 */
public record SendDecision(int parts, List<Objection> objections) {
  public SendDecision {
    objections = List.copyOf(objections);
  }

  /** What comes of it. */
  public enum Verdict {
    /** It may go. */
    MAY_GO,
    /** It may go when its writer confirms each reason that asks. */
    NEEDS_CONFIRMATION,
    /** It may not go. */
    MAY_NOT_GO
  }

  /** What can be said of it ahead of its time; the rest is decided when it goes. */
  public SendDecision ahead() {
    return new SendDecision(
        parts, objections.stream().filter(each -> !each.reason().isOfTheMoment()).toList());
  }

  /** What comes of it, with nothing confirmed. */
  public Verdict verdict() {
    return verdict(Set.of());
  }

  /** What comes of it when some reasons have been confirmed. */
  public Verdict verdict(Set<Reason> confirmed) {
    List<Objection> against = against(confirmed);
    if (against.isEmpty()) {
      return Verdict.MAY_GO;
    }
    return against.stream().anyMatch(each -> each.severity() == Severity.REFUSE)
        ? Verdict.MAY_NOT_GO
        : Verdict.NEEDS_CONFIRMATION;
  }

  /** What keeps it from going when some reasons have been confirmed. */
  public List<Objection> against(Set<Reason> confirmed) {
    return objections.stream()
        .filter(each ->
            each.severity() == Severity.REFUSE
                || each.severity() == Severity.ASK && !confirmed.contains(each.reason()))
        .toList();
  }
}
