package fabulum.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;

class SteadilyTest {
  private final AtomicLong nanos = new AtomicLong();
  private final Steadily<String> steadily = new Steadily<>("A row failed", nanos::get);
  private final List<String> tried = new ArrayList<>();
  private boolean broken = true;

  private void work(String row) {
    tried.add(row);
    if (broken && row.equals("bad")) {
      throw new IllegalStateException("not this one");
    }
  }

  private void pass(Duration time) {
    nanos.addAndGet(time.toNanos());
    tried.clear();
    steadily.each(List.of("bad", "good"), this::work);
  }

  @Test
  void aRowThatFailsWaitsLongerAndLongerAndThoseBehindItGoOn() {
    pass(Duration.ZERO);
    assertThat(tried).containsExactly("bad", "good");
    pass(Duration.ofMillis(900));
    assertThat(tried).containsExactly("good");
    pass(Duration.ofMillis(100));
    assertThat(tried).containsExactly("bad", "good");
    pass(Duration.ofSeconds(1));
    assertThat(tried).containsExactly("good");
    pass(Duration.ofSeconds(1));
    assertThat(tried).containsExactly("bad", "good");
    assertThat(steadily.failing()).isEqualTo(1);
  }

  @Test
  void itNeverWaitsLongerThanTenMinutesAndWhatWorksAgainIsForgotten() {
    for (int i = 0; i < 40; i++) {
      pass(Duration.ofMinutes(10));
      assertThat(tried).as("pass %d", i).contains("bad");
    }
    pass(Duration.ofMinutes(9));
    assertThat(tried).doesNotContain("bad");
    broken = false;
    pass(Duration.ofMinutes(1));
    assertThat(steadily.failing()).isZero();
    broken = true;
    pass(Duration.ZERO);
    pass(Duration.ofSeconds(1));
    assertThat(tried).as("the first wait again").contains("bad");
  }
}
