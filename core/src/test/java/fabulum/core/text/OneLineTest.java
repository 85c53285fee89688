package fabulum.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class OneLineTest {
  @ParameterizedTest
  @ValueSource(strings = {"", "Maren Oduya", "Zoë ‑ O’Neil", "مارينا", "岸 壁", "👩‍🔧 Yard"})
  void namesStandOnOneLine(String name) {
    assertThat(OneLine.is(name)).isTrue();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "a\nb",
        "a\rb",
        "a\tb",
        "a\u0000",
        "a\u0085b",
        "a\u2028b",
        "\u202eneram",
        "\u2066x"
      })
  void whatBreaksHidesOrTurnsALineIsNoName(String name) {
    assertThat(OneLine.is(name)).isFalse();
  }
}
