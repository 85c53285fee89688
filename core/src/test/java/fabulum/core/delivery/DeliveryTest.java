package fabulum.core.delivery;

import static fabulum.core.delivery.DeliveryState.DELIVERED;
import static fabulum.core.delivery.DeliveryState.NOT_DELIVERED;
import static fabulum.core.delivery.DeliveryState.READ;
import static fabulum.core.delivery.DeliveryState.SENT;
import static fabulum.core.delivery.DeliveryState.WAITING;
import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.delivery.SendOutcome.Accepted;
import fabulum.core.delivery.SendOutcome.Closed;
import fabulum.core.delivery.SendOutcome.RefusedForGood;
import fabulum.core.delivery.SendOutcome.RefusedForNow;
import fabulum.core.delivery.SendOutcome.Unclear;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class DeliveryTest {
  private static final Instant NINE = Instant.parse("2026-06-09T14:00:00Z");

  @Test
  void whateverOrderReportsComeInTheStateEndsTheSame() {
    Random random = new Random(11);
    for (int i = 0; i < 500; i++) {
      List<DeliveryState> reports = new ArrayList<>();
      for (int n = random.nextInt(6); n >= 0; n--) {
        reports.add(DeliveryState.values()[random.nextInt(5)]);
      }
      DeliveryState expected = end(reports);
      Collections.shuffle(reports, random);
      assertThat(end(reports)).as("%s", reports).isEqualTo(expected);
    }
  }

  private static DeliveryState end(List<DeliveryState> reports) {
    return reports.stream().reduce(WAITING, DeliveryState::after);
  }

  @Test
  void statesOnlyMoveForward() {
    assertThat(READ.after(DELIVERED)).isEqualTo(READ);
    assertThat(DELIVERED.after(SENT)).isEqualTo(DELIVERED);
    assertThat(NOT_DELIVERED.after(SENT)).isEqualTo(NOT_DELIVERED);
    assertThat(NOT_DELIVERED.after(DELIVERED)).as("it arrived after all").isEqualTo(DELIVERED);
  }

  @Test
  void aTextToSeveralIsAsFarAsWithTheNumberWhereItIsLeastFar() {
    assertThat(DeliveryState.overall(List.of(READ, SENT, DELIVERED))).isEqualTo(SENT);
    assertThat(DeliveryState.overall(List.of(READ, DELIVERED))).isEqualTo(DELIVERED);
    assertThat(DeliveryState.overall(List.of(WAITING, READ))).isEqualTo(WAITING);
    assertThat(DeliveryState.overall(List.of(READ, NOT_DELIVERED, WAITING)))
        .isEqualTo(NOT_DELIVERED);
  }

  @Test
  void refusalsThatMayPassAreTriedAgainWithGrowingWaits() {
    SendOutcome busy = new RefusedForNow("busy", "The network is busy.", Optional.empty());
    Duration last = Duration.ZERO;
    for (int attempts = 1; attempts <= 12; attempts++) {
      NextStep step = RetryPlan.USUAL.after(busy, attempts, NINE, NINE);
      assertThat(step).isInstanceOf(NextStep.TryAgain.class);
      Duration wait = Duration.between(NINE, ((NextStep.TryAgain) step).at());
      assertThat(wait).isGreaterThanOrEqualTo(last).isPositive();
      last = wait;
    }
    assertThat(last).isEqualTo(Duration.ofMinutes(15));
  }

  @Test
  void theNetworksOwnWaitIsKept() {
    SendOutcome busy = new RefusedForNow("busy", "Slow down.", Optional.of(Duration.ofSeconds(30)));
    assertThat(RetryPlan.USUAL.after(busy, 1, NINE, NINE))
        .isEqualTo(new NextStep.TryAgain(NINE.plusSeconds(30), false, "Slow down."));
  }

  @Test
  void anUnclearEndIsLookedUpBeforeItIsSentAgain() {
    assertThat(RetryPlan.USUAL.after(new Unclear("no answer"), 1, NINE, NINE))
        .isEqualTo(new NextStep.TryAgain(NINE.plusSeconds(1), true, "no answer"));
  }

  @Test
  void whatWillNotPassIsGivenUpAtOnceAndWhatMightAfterADay() {
    assertThat(
            RetryPlan.USUAL.after(
                new RefusedForGood("no-such-number", "No such number."), 1, NINE, NINE))
        .isEqualTo(new NextStep.GiveUp("no-such-number", "No such number."));
    NextStep tired =
        RetryPlan.USUAL.after(new Unclear("no answer"), 90, NINE, NINE.plus(Duration.ofDays(1)));
    assertThat(tired).isInstanceOf(NextStep.GiveUp.class);
  }

  @Test
  void aNetworkThatDoesNotDealWithUsIsWaitedForHoweverLong() {
    Instant weeksLater = NINE.plus(Duration.ofDays(40));
    assertThat(
            RetryPlan.USUAL.after(
                new Closed("unknown-key", "The key is not known."), 900, NINE, weeksLater))
        .isEqualTo(
            new NextStep.WaitForNetwork(
                weeksLater.plusSeconds(15), "unknown-key", "The key is not known."));
  }

  @Test
  void aSilentNetworkIsAskedAfterTenMinutesAnHourAndADayAndThenNoMore() {
    assertThat(ReportPlan.next(NINE, 0)).contains(NINE.plus(Duration.ofMinutes(10)));
    assertThat(ReportPlan.next(NINE, 1)).contains(NINE.plus(Duration.ofHours(1)));
    assertThat(ReportPlan.next(NINE, 2)).contains(NINE.plus(Duration.ofDays(1)));
    assertThat(ReportPlan.next(NINE, 3)).isEmpty();
  }

  @Test
  void aFailureNeedsAHandWhereSomebodyWaitsOrOnePersonWroteIt() {
    Optional<Instant> waited = Optional.of(NINE.minusSeconds(600));
    Failure answer = new Failure(Failure.Sending.ANSWER, waited, NINE);
    assertThat(answer.needsAHand()).isTrue();
    assertThat(answer.waiting()).isEqualTo(NINE.minusSeconds(600));
    Failure unasked = new Failure(Failure.Sending.ANSWER, Optional.empty(), NINE);
    assertThat(unasked.needsAHand()).isTrue();
    assertThat(unasked.waiting()).isEqualTo(NINE);
    assertThat(new Failure(Failure.Sending.ONE_OF_MANY, waited, NINE).needsAHand()).isTrue();
    assertThat(new Failure(Failure.Sending.ONE_OF_MANY, Optional.empty(), NINE).needsAHand())
        .isFalse();
  }

  @Test
  void acceptedIsSent() {
    assertThat(RetryPlan.USUAL.after(new Accepted("m-1"), 3, NINE, NINE))
        .isEqualTo(new NextStep.Sent("m-1"));
  }
}
