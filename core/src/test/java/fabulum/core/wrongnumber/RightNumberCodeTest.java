package fabulum.core.wrongnumber;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RightNumberCodeTest {
  @ParameterizedTest
  @ValueSource(
      strings = {"K7QX", "k7qx", " \"K7QX\". ", "K7 QX", "code K7QX", "Text k7qx!", "K7-QX"})
  void aTextThatIsACodeIsReadHoweverItIsWritten(String text) {
    assertThat(RightNumberCode.read(text)).contains("K7QX");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "yes",
        "boat",
        "K7QXA",
        "my code is K7QX and the boat is Tansy",
        "K7Q",
        "K0QX",
        "2pm ok now"
      })
  void otherTextsAreNone(String text) {
    assertThat(RightNumberCode.read(text)).isEmpty();
  }

  @Test
  void everyNumberHasACodeOfItsOwnThatIsReadAgain() {
    Set<String> codes = new HashSet<>();
    for (int i = 0; i < RightNumberCode.MANY; i += 7) {
      String code = RightNumberCode.of(i);
      assertThat(codes.add(code)).isTrue();
      if (RightNumberCode.isGiven(code)) {
        assertThat(RightNumberCode.read(code)).contains(code);
      }
    }
    assertThat(RightNumberCode.isGiven("ABCD")).isFalse();
    assertThat(RightNumberCode.isGiven("2345")).isFalse();
  }

  @Test
  void guessingEnds() {
    assertThat(RightNumberCode.counts(4, 99)).isTrue();
    assertThat(RightNumberCode.counts(5, 0)).isFalse();
    assertThat(RightNumberCode.counts(0, 100)).isFalse();
  }
}
