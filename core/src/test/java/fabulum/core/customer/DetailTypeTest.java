package fabulum.core.customer;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.customer.DetailType.Refused;
import fabulum.core.customer.DetailType.Understood;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DetailTypeTest {
  private static final List<String> NONE = List.of();

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "NUMBER | 27.50 | 27.5",
        "NUMBER | 27,5 | 27.5",
        "NUMBER | 1,200 | 1200",
        "NUMBER | 1,234,567.25 | 1234567.25",
        "NUMBER | 1 200 | 1200",
        "NUMBER | -0 | 0",
        "NUMBER | 100 | 100",
        "DATE | 2026-06-09 | 2026-06-09",
        "DATE | 9.6.2026 | 2026-06-09",
        "DATE | 9 Jun 2026 | 2026-06-09",
        "DATE | June 9, 2026 | 2026-06-09",
        "DATE | 2026/6/9 | 2026-06-09",
        "DATE | 6/19/2026 | 2026-06-19",
        "DATE | 19/6/2026 | 2026-06-19",
        "DATE | 6/6/2026 | 2026-06-06",
        "TEXT | Sandpiper | Sandpiper"
      })
  void isKeptInOneForm(DetailType type, String typed, String kept) {
    assertThat(type.read(typed, NONE)).isEqualTo(new Understood(kept));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "NUMBER | 27 ft | “27 ft” is not a number.",
        "NUMBER | 1,23,4 | “1,23,4” is not a number.",
        "NUMBER | 1e9 | “1e9” is not a number.",
        "DATE | 31.2.2026 | “31.2.2026” is not a date. Write it as 2026-06-09.",
        "DATE | 29 Feb 2025 | “29 Feb 2025” is not a date. Write it as 2026-06-09.",
        "DATE | 3/4/2026 | “3/4/2026” can be read in two ways. Write it as 2026-06-09.",
        "DATE | 13/14/2026 | “13/14/2026” is not a date."
      })
  void saysWhyItIsRefused(DetailType type, String typed, String why) {
    assertThat(type.read(typed, NONE)).isEqualTo(new Refused(why));
  }

  @Test
  void aChoiceIsOneOfThoseListed() {
    List<String> choices = List.of("Sail", "Motor");
    assertThat(DetailType.CHOICE.read(" motor", choices)).isEqualTo(new Understood("Motor"));
    assertThat(DetailType.CHOICE.read("Rowing", choices))
        .isEqualTo(new Refused("Choose one of: Sail, Motor."));
  }

  @Test
  void wordsHaveAnEnd() {
    assertThat(DetailType.TEXT.read("x".repeat(400), NONE)).isInstanceOf(Understood.class);
    assertThat(DetailType.TEXT.read("x".repeat(401), NONE))
        .isEqualTo(new Refused("At most 400 characters."));
  }
}
