package fabulum.core.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PasswordRulesTest {
  private static final String TOO_SHORT =
      "Use at least 10 characters. A few words in a row work well.";
  private static final String TOO_LONG = "Use at most 72 characters.";

  @ParameterizedTest
  @CsvSource({
    "harbour si, ''",
    "harbour s, 'Use at least 10 characters. A few words in a row work well.'",
    "abcdeabcde, ''",
    "abcdabcdab, Use more than a few different characters.",
    "ABCDabcdAB, Use more than a few different characters.",
    "Maren's harbour, Leave your own name out of it.",
    "the marena boat, Leave your own name out of it."
  })
  void aPasswordIsLongVariedAndNotOnesOwnName(String wanted, String objection) {
    assertThat(PasswordRules.objections(wanted, "maren"))
        .isEqualTo(objection.isEmpty() ? List.of() : List.of(objection));
  }

  @Test
  void charactersAreCountedAndNotTheirCodeUnits() {
    assertThat(PasswordRules.objections("🙂🙃😀😁😂🤣😃😄😅😆", "")).isEmpty();
    assertThat(PasswordRules.objections("🙂🙃😀😁😂🤣😃😄😅", "")).containsExactly(TOO_SHORT);
  }

  @Test
  void noMoreOctetsThanTheHashReads() {
    int[] characters = {'q', 0x7f, 0x80, 0x7ff, 0x800, 0xffff, 0x10000, 0x1f642};
    Random random = new Random(5);
    for (int i = 0; i < 2_000; i++) {
      StringBuilder password = new StringBuilder("abcdefghij");
      int octets = 70 + random.nextInt(5);
      while (octets(password) < octets) {
        password.appendCodePoint(characters[random.nextInt(characters.length)]);
      }
      assertThat(PasswordRules.objections(password.toString(), ""))
          .as("%d octets", octets(password))
          .isEqualTo(octets(password) > 72 ? List.of(TOO_LONG) : List.of());
    }
  }

  private static int octets(StringBuilder text) {
    return text.toString().getBytes(StandardCharsets.UTF_8).length;
  }
}
