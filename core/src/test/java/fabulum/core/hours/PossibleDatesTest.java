package fabulum.core.hours;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PossibleDatesTest {
  @ParameterizedTest
  @CsvSource({"1899-12-31, false", "1900-01-01, true", "2199-12-31, true", "2200-01-01, false"})
  void aDateLiesInAYearThatSomeoneCanMean(LocalDate day, boolean possible) {
    assertThat(PossibleDates.isOne(day)).isEqualTo(possible);
  }

  @ParameterizedTest
  @CsvSource({
    "1899-12-31T23:59:59Z, false",
    "1900-01-01T00:00:00Z, true",
    "2199-12-31T23:59:59Z, true",
    "2200-01-01T00:00:00Z, false"
  })
  void aMomentLiesThereInUtc(Instant at, boolean possible) {
    assertThat(PossibleDates.isOne(at)).isEqualTo(possible);
  }
}
