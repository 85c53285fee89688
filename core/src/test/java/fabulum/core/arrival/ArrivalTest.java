package fabulum.core.arrival;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ArrivalTest {
  private static final Instant NOW = Instant.parse("2026-06-09T19:05:00Z");
  private static final Instant Y2K = Instant.parse("2000-01-01T00:00:00Z");

  @Test
  void aTextStandsWhenItWasWritten() {
    Instant earlier = NOW.minusSeconds(90);
    assertThat(Arrival.of(earlier, NOW))
        .isEqualTo(new Arrival(earlier, Optional.empty(), Optional.empty(), false));
  }

  @Test
  void timesThatCannotBeAreNotBelievedAndKept() {
    for (Instant wrong :
        new Instant[] {
          Instant.EPOCH, Y2K.minusMillis(1), NOW.plus(Duration.ofDays(1)).plusMillis(1)
        }) {
      assertThat(Arrival.of(wrong, NOW))
          .isEqualTo(new Arrival(NOW, Optional.of(wrong), Optional.empty(), false));
    }
  }

  @Test
  void aClockThatIsALittleFastPutsNothingIntoTheFuture() {
    for (Duration fast : new Duration[] {Duration.ofMillis(1), Duration.ofDays(1)}) {
      assertThat(Arrival.of(NOW.plus(fast), NOW))
          .isEqualTo(new Arrival(NOW, Optional.empty(), Optional.empty(), false));
    }
  }

  @Test
  void whatIsMoreThanFourteenDaysOldIsHistory() {
    Instant fourteen = NOW.minus(Duration.ofDays(14));
    assertThat(Arrival.of(fourteen, NOW).history()).isFalse();
    assertThat(Arrival.of(fourteen.minusMillis(1), NOW))
        .isEqualTo(new Arrival(fourteen.minusMillis(1), Optional.empty(), Optional.of(NOW), true));
    assertThat(Arrival.of(Y2K, NOW).history()).isTrue();
  }
}
