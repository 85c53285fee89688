package fabulum.core.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class AccessTest {

  @Test
  void mistypingIsFreeAndGuessingGetsSlower() {
    assertThat(GuessPace.waitAfter(0)).isZero();
    assertThat(GuessPace.waitAfter(3)).isZero();
    assertThat(GuessPace.waitAfter(4)).isEqualTo(Duration.ofSeconds(2));
    assertThat(GuessPace.waitAfter(6)).isEqualTo(Duration.ofSeconds(8));
    assertThat(GuessPace.waitAfter(1_000_000)).isEqualTo(Duration.ofMinutes(5));
    for (int failures = 0; failures < 100; failures++) {
      assertThat(GuessPace.waitAfter(failures + 1))
          .isGreaterThanOrEqualTo(GuessPace.waitAfter(failures));
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"short", "aaaaaaaaaaaa", "maren likes boats", "⛵⛵⛵⛵⛵⛵⛵⛵⛵⛵⛵⛵⛵⛵⛵⛵⛵⛵⛵⛵⛵⛵⛵⛵⛵"})
  void weakPasswordsAreRefusedWithASentence(String wanted) {
    assertThat(PasswordRules.objections(wanted, "maren"))
        .isNotEmpty()
        .allMatch(s -> s.endsWith("."));
  }

  @Test
  void aFewWordsInARowWillDo() {
    assertThat(PasswordRules.objections("nine grey herons", "maren")).isEmpty();
  }
}
