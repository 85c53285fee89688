package fabulum.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LikePatternTest {
  @ParameterizedTest
  @CsvSource({
    "Lantern, %lantern%",
    "'  two words ', %two words%",
    "50% off, %50\\% off%",
    "a_b, %a\\_b%",
    "back\\slash, %back\\\\slash%"
  })
  void whatLikeTakesForPlaceholdersIsOrdinary(String typed, String pattern) {
    assertThat(LikePattern.containing(typed)).isEqualTo(pattern);
  }

  @ParameterizedTest
  @CsvSource({"(920) 555-0101, %9205550101%", "berth 123, %123%", "a1b2c3, %123%"})
  void digitsAreSoughtAsPartOfANumberHoweverTheyAreWritten(String typed, String pattern) {
    assertThat(LikePattern.digits(typed)).isEqualTo(pattern);
  }

  @Test
  void tooFewDigitsAreNoPartOfANumber() {
    assertThat(LikePattern.digits("berth 12")).isNull();
    assertThat(LikePattern.digits("lantern")).isNull();
  }
}
