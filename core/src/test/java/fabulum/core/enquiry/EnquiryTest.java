package fabulum.core.enquiry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.core.enquiry.ConfirmationCode.Outcome;
import fabulum.core.enquiry.FilledForm.Field;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EnquiryTest {
  private static final Instant NOON = Instant.parse("2026-06-09T17:00:00Z");

  private static FilledForm form(String name, String number, String words, boolean agreed) {
    return new FilledForm(name, number, words, agreed);
  }

  @Test
  void aFormThatIsFilledInHasNothingWrong() {
    FilledForm filled = form(" Ada\t Pell ", " 414 555 0101", "Is C14 free?\r\nFrom Friday.", true);
    assertThat(filled.problems(FormPurpose.ENQUIRY)).isEmpty();
    assertThat(filled.line()).isEqualTo("Is C14 free?\nFrom Friday.\nAda Pell");
  }

  @Test
  void everythingThatIsWrongIsSaidAtOnce() {
    assertThat(form("", "", " ", false).problems(FormPurpose.ENQUIRY))
        .containsOnlyKeys(Field.NAME, Field.NUMBER, Field.WORDS, Field.AGREED);
    assertThat(form("", "", " ", false).problems(FormPurpose.AGREEMENT))
        .containsOnlyKeys(Field.NAME, Field.NUMBER, Field.AGREED);
  }

  @Test
  void nothingLongerThanItMayBeAndNoControlCharactersAreTaken() {
    Map<Field, String> atMost =
        form("n".repeat(80), "1".repeat(40), "w".repeat(1_000), true).problems(FormPurpose.ENQUIRY);
    assertThat(atMost).isEmpty();
    assertThat(
            form("n".repeat(81), "1".repeat(41), "w".repeat(1_001), true)
                .problems(FormPurpose.ENQUIRY))
        .containsOnlyKeys(Field.NAME, Field.NUMBER, Field.WORDS)
        .containsEntry(Field.WORDS, "Use at most 1,000 characters; these are 1,001.");
    assertThat(form("A\u0000da", "1", "a\u0007b", true).problems(FormPurpose.ENQUIRY))
        .containsOnlyKeys(Field.NAME, Field.WORDS);
  }

  @ParameterizedTest
  @CsvSource({
    "042137,   0, 0,   RIGHT",
    "042 137,  0, 0,   RIGHT",
    "042-137,  4, 0,   RIGHT",
    "42137,    0, 0,   WRONG",
    "'',       0, 0,   WRONG",
    "042137,   5, 0,   TOO_MANY_TRIES",
    "042137,   0, 899, RIGHT",
    "042137,   0, 900, TOO_LATE",
  })
  void aCodeWorksForAQuarterOfAnHourAndFiveTries(
      String typed, int tries, int seconds, Outcome outcome) {
    Instant until = NOON.plus(ConfirmationCode.WORKS);
    assertThat(
            ConfirmationCode.check(
                typed, ConfirmationCode.of(42_137), until, tries, NOON.plusSeconds(seconds)))
        .isEqualTo(outcome);
  }

  @Test
  void thereAreAMillionCodes() {
    assertThat(ConfirmationCode.of(0)).isEqualTo("000000");
    assertThat(ConfirmationCode.of(999_999)).isEqualTo("999999");
    assertThatThrownBy(() -> ConfirmationCode.of(1_000_000))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void aPaceIsCountedAnewAfterItsSpan() {
    Duration hour = Duration.ofHours(1);
    Tally two = new Tally(NOON, 1).next(NOON.plusSeconds(3_599), hour);
    assertThat(two).isEqualTo(new Tally(NOON, 2));
    Instant later = NOON.plusSeconds(3_600);
    assertThat(two.next(later, hour)).isEqualTo(new Tally(later, 1));
  }
}
