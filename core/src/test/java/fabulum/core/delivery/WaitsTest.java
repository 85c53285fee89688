package fabulum.core.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.core.delivery.SendOutcome.RefusedForNow;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Waits before something that failed is tried again. */
class WaitsTest {
  private static final Instant NOON = Instant.parse("2026-06-09T17:00:00Z");

  @ParameterizedTest
  @CsvSource({
    "1, 5, 1 2 4 5 5",
    "1, 4, 1 2 4 4 4",
    "5, 5, 5 5 5 5 5",
    "3, 100, 3 6 12 24 48",
  })
  void eachWaitIsTwiceTheOneBeforeUntilTheLongest(int first, int longest, String seconds) {
    Waits waits = Waits.doubling(Duration.ofSeconds(first), Duration.ofSeconds(longest));
    assertThat(IntStream.rangeClosed(1, 5).mapToObj(n -> "" + waits.after(n).toSeconds()))
        .containsExactly(seconds.split(" "));
  }

  @ParameterizedTest
  @CsvSource({"0, 5", "-1, 5", "5, 4"})
  void waitsThatDoNotGrowAreRefused(int first, int longest) {
    assertThatThrownBy(() -> Waits.doubling(Duration.ofSeconds(first), Duration.ofSeconds(longest)))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void withoutAWaitNothingIsTriedAgain() {
    assertThatThrownBy(() -> new Waits(List.of())).isInstanceOf(IllegalArgumentException.class);
  }

  @ParameterizedTest
  @CsvSource({"1, 2", "2, 2", "9, 9"})
  void theLongerOfOurWaitAndTheNetworksCounts(int theirs, int expected) {
    RetryPlan plan = new RetryPlan(new Waits(List.of(Duration.ofSeconds(2))), Duration.ofDays(1));
    Optional<Duration> asked = Optional.of(Duration.ofSeconds(theirs));
    assertThat(plan.after(new RefusedForNow("busy", "Busy", asked), 1, NOON, NOON))
        .isEqualTo(new NextStep.TryAgain(NOON.plusSeconds(expected), false, "Busy"));
  }

  @Test
  void theLastTryIsAtTheVeryEndOfItsTime() {
    RetryPlan plan =
        new RetryPlan(new Waits(List.of(Duration.ofSeconds(60))), Duration.ofMinutes(10));
    RefusedForNow busy = new RefusedForNow("busy", "Busy", Optional.empty());
    Instant nine = NOON.plusSeconds(540);
    assertThat(plan.after(busy, 9, NOON, nine)).isInstanceOf(NextStep.TryAgain.class);
    assertThat(plan.after(busy, 9, NOON, nine.plusMillis(1))).isInstanceOf(NextStep.GiveUp.class);
  }
}
