package fabulum.server.figures;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.Test;

class ShareTest {
  private static final long SECOND = 1_000_000_000;

  @Test
  void itBeginsAtOnceAndRestsTwentyTimesAsLongAsARoundTook() {
    Share share = new Share(20, Duration.ofMinutes(1));
    assertThat(share.isDue(Long.MIN_VALUE)).isTrue();
    share.done(7 * SECOND, 9 * SECOND);
    assertThat(share.isDue(49 * SECOND - 1)).isFalse();
    assertThat(share.isDue(49 * SECOND)).isTrue();
  }

  @Test
  void noRestIsLongerThanTheLongest() {
    Share share = new Share(20, Duration.ofMinutes(1));
    share.done(0, 10 * SECOND);
    assertThat(share.isDue(70 * SECOND - 1)).isFalse();
    assertThat(share.isDue(70 * SECOND)).isTrue();
  }

  @Test
  void theClockOfTheMachineMayRunOverItsEnd() {
    Share share = new Share(20, Duration.ofMinutes(1));
    share.done(Long.MAX_VALUE - SECOND, Long.MAX_VALUE);
    assertThat(share.isDue(Long.MAX_VALUE)).isFalse();
    assertThat(share.isDue(Long.MAX_VALUE + 20 * SECOND)).isTrue();
  }
}
