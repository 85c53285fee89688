package fabulum.core.delivery;

import fabulum.core.delivery.SendOutcome.Accepted;
import fabulum.core.delivery.SendOutcome.Closed;
import fabulum.core.delivery.SendOutcome.RefusedForGood;
import fabulum.core.delivery.SendOutcome.RefusedForNow;
import fabulum.core.delivery.SendOutcome.Unclear;
import java.time.Duration;
import java.time.Instant;
import java.util.List;

/**
 * How long to go on trying: waits that grow, and an end.
 *
 * @param giveUpAfter from the moment the text was to go; after that it is not delivered
 */
public record RetryPlan(Waits waits, Duration giveUpAfter) {

  /** 1 s, 2 s, 5 s, 15 s, 1 min, 5 min, then every 15 min, for a day. */
  public static final RetryPlan USUAL =
      new RetryPlan(
          new Waits(
              List.of(
                  Duration.ofSeconds(1),
                  Duration.ofSeconds(2),
                  Duration.ofSeconds(5),
                  Duration.ofSeconds(15),
                  Duration.ofMinutes(1),
                  Duration.ofMinutes(5),
                  Duration.ofMinutes(15))),
          Duration.ofDays(1));

  /** The longest wait before a network that does not deal with us is tried again. */
  public static final Duration CLOSED = Duration.ofSeconds(15);

  /**
   * Decides what follows an attempt.
   *
   * @param attempts how many there have been, this one included; 1 or more
   * @param wantedAt when the text was to go
   * @param now when the outcome came
   */
  public NextStep after(SendOutcome outcome, int attempts, Instant wantedAt, Instant now) {
    if (outcome instanceof Accepted accepted) {
      return new NextStep.Sent(accepted.networkId());
    }
    if (outcome instanceof RefusedForGood refused) {
      return new NextStep.GiveUp(refused.code(), refused.reason());
    }
    if (outcome instanceof Closed closed) {
      Duration planned = waits.after(attempts);
      Duration wait = planned.compareTo(CLOSED) > 0 ? CLOSED : planned;
      return new NextStep.WaitForNetwork(now.plus(wait), closed.code(), closed.reason());
    }
    boolean unclear = outcome instanceof Unclear;
    String code = outcome instanceof RefusedForNow refused ? refused.code() : "unclear";
    String why =
        outcome instanceof RefusedForNow refused ? refused.reason() : ((Unclear) outcome).why();
    Instant at = now.plus(wait(outcome, attempts));
    return at.isAfter(wantedAt.plus(giveUpAfter))
        ? new NextStep.GiveUp(code, "Given up after a day of trying. Last answer: " + why)
        : new NextStep.TryAgain(at, unclear, why);
  }

  private Duration wait(SendOutcome outcome, int attempts) {
    Duration planned = waits.after(attempts);
    if (outcome instanceof RefusedForNow refused) {
      return refused.notBefore().filter(asked -> asked.compareTo(planned) > 0).orElse(planned);
    }
    return planned;
  }
}
