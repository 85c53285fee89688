package fabulum.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TokensTest {
  @ParameterizedTest
  @CsvSource({
    "azAZ09, azaz09",
    "Don’t “STOP” señor!, dont stop senor",
    "ＳＴＯＰ, stop",
    "st\u200bop, stop",
    "Łódź Straße smørrebrød, lodz strasse smorrebrod",
    // The neighbours of letters and digits in ASCII part words, or are left out.
    "a@b, a b",
    "a[b, a b",
    "a{b, a b",
    "a/b, a b",
    "a:b, a b",
    "'a`b', ab",
    "'--', ''",
    "'', ''"
  })
  void wordsAreTheSameHoweverTheyAreWritten(String text, String words) {
    assertThat(String.join(" ", Tokens.of(text))).isEqualTo(words);
  }

  @Test
  void aSignAtTheEndBelongsToNoWord() {
    for (char sign : "/:@[`{".toCharArray()) {
      assertThat(Tokens.of("stop" + sign)).as("%s", sign).containsExactly("stop");
    }
  }

  @Test
  void aLanguageIsFoundByItsCodeAndReadByItsNameToo() {
    assertThat(Language.find("es")).contains(Language.ES);
    assertThat(Language.find("ES")).isEmpty();
    assertThat(Language.find("xx")).isEmpty();
    assertThat(Language.read(" Polish ")).contains(Language.PL);
    assertThat(Language.read("PL")).contains(Language.PL);
    assertThat(Language.read("Latin")).isEqualTo(Optional.empty());
    assertThat(Language.codes()).isEqualTo("en, es, fr, de, pt, it, nl, pl");
  }
}
