package fabulum.core.enquiry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class InkTest {
  @ParameterizedTest
  @CsvSource({"#1f5c50, #ffffff", "#000000, #ffffff", "#ffffff, #20262b", "#ffd24a, #20262b"})
  void whatStandsOnAColourCanBeRead(String colour, String ink) {
    assertThat(Ink.on(colour)).isEqualTo(ink);
  }

  @Test
  void contrastIsThatOfTheGuidelines() {
    assertThat(Ink.contrast("#000000", "#ffffff")).isCloseTo(21, within(0.001));
    // The grey that just passes AA on white.
    assertThat(Ink.contrast("#767676", "#ffffff")).isCloseTo(4.54, within(0.01));
  }

  @Test
  void onEveryColourTheInkReachesTheLevelForLargeText() {
    for (int i = 0; i < 0x1000000; i += 997) {
      String colour = String.format("#%06x", i);
      assertThat(Ink.contrast(colour, Ink.on(colour))).as(colour).isGreaterThanOrEqualTo(3.8);
    }
  }
}
