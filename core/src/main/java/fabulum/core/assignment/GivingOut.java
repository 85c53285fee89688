package fabulum.core.assignment;

import fabulum.core.assignment.Given.To;
import fabulum.core.assignment.Given.ToNobody;
import fabulum.core.assignment.Given.Why;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;

/**
 * The rule by which a line gives out work. In turn: to the one whose last turn is longest ago, so
 * that the counts of any two who could always be given something never differ by more than one.
 * Least waiting: to one than whom no other has less; among equals, in turn.
 */
public final class GivingOut {
  private static final Comparator<Candidate> IN_TURN =
      Comparator.comparingLong(Candidate::lastTurn).thenComparingLong(Candidate::who);
  private static final Comparator<Candidate> LEAST_WAITING =
      Comparator.comparingInt(Candidate::waiting).thenComparing(IN_TURN);

  private GivingOut() {}

  /**
   * Decides.
   *
   * @param candidates everybody who may use the line
   * @param lastOwner who had the customer last
   */
  public static Given decide(Way way, List<Candidate> candidates, OptionalLong lastOwner) {
    if (way == Way.NOBODY) {
      return new ToNobody(Why.PEOPLE_TAKE);
    }
    List<Candidate> eligible = candidates.stream().filter(Candidate::isEligible).toList();
    if (eligible.isEmpty()) {
      return new ToNobody(whyNobody(candidates));
    }
    return switch (way) {
      case NOBODY -> throw new IllegalStateException("People take");
      case IN_TURN -> new To(first(eligible, IN_TURN).who(), "in turn");
      case LEAST_WAITING -> leastWaiting(eligible, "");
      case LAST_OWNER -> lastOwner(eligible, lastOwner);
    };
  }

  private static Given lastOwner(List<Candidate> eligible, OptionalLong lastOwner) {
    Optional<Candidate> last =
        eligible.stream()
            .filter(one -> lastOwner.isPresent() && one.who() == lastOwner.getAsLong())
            .findFirst();
    return last.isPresent()
        ? new To(last.get().who(), "had this customer last")
        : leastWaiting(
            eligible,
            lastOwner.isPresent() ? "the colleague who last had the customer cannot; " : "");
  }

  private static Given leastWaiting(List<Candidate> eligible, String before) {
    Candidate least = first(eligible, LEAST_WAITING);
    return new To(least.who(), before + "least waiting, " + least.waiting());
  }

  private static Candidate first(List<Candidate> eligible, Comparator<Candidate> order) {
    return eligible.stream().min(order).orElseThrow();
  }

  private static Why whyNobody(List<Candidate> candidates) {
    if (candidates.isEmpty()) {
      return Why.NOBODY_MAY;
    }
    return candidates.stream().anyMatch(Candidate::in) ? Why.ALL_AT_LIMIT : Why.NOBODY_IN;
  }
}
