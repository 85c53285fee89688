package fabulum.core.agreement;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.text.Language;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Phrases written and labelled by hand in many voices. The rules were made with those of one file;
 * those of the other are only counted.
 */
class PhrasesTest {
  private static final Set<Language> ALL = EnumSet.allOf(Language.class);

  private record Phrase(Optional<Keyword> keyword, boolean asks, String words) {
    static Phrase read(String line) {
      String label = line.substring(0, 5).strip();
      return new Phrase(
          label.equals("-")
              ? Optional.empty()
              : Optional.of(Keyword.valueOf(label.toUpperCase(Locale.ROOT))),
          line.substring(6, 10).equals("asks"),
          line.substring(15).replace("\\n", "\n").replace("\\u00ad", "\u00ad"));
    }

    boolean asksIsRight() {
      return StopWish.isIn(words, ALL) == asks;
    }
  }

  private static List<Phrase> phrases(String part) throws IOException {
    String file = "/agreement/phrases-" + part + ".txt";
    try (BufferedReader in =
        new BufferedReader(
            new InputStreamReader(
                Objects.requireNonNull(PhrasesTest.class.getResourceAsStream(file)),
                StandardCharsets.UTF_8))) {
      return in.lines().map(Phrase::read).toList();
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"tuned", "held-back"})
  void noKeywordIsMissedAndNoHarmlessTextIsActedOn(String part) throws IOException {
    for (Phrase each : phrases(part)) {
      assertThat(Keywords.read(each.words(), ALL)).as(each.words()).isEqualTo(each.keyword());
    }
  }

  @Test
  void whatPlainlyAsksIsSeenAndLittleElse() throws IOException {
    assertThat(phrases("tuned")).allMatch(Phrase::asksIsRight);
    List<Phrase> heldBack = phrases("held-back");
    long right = heldBack.stream().filter(Phrase::asksIsRight).count();
    System.out.printf("Asking to stop, held back: %d of %d right%n", right, heldBack.size());
    assertThat(right).isGreaterThan(heldBack.size() * 97L / 100);
  }

  @ParameterizedTest
  @CsvSource({"parar, ES", "arrêt, FR", "abmelden, DE", "koniec, PL"})
  void aLanguageCountsOnlyWhereItIsSwitchedOn(String word, Language language) {
    assertThat(Keywords.read(word, Set.of())).isEmpty();
    assertThat(Keywords.read(word, Set.of(language))).contains(Keyword.STOP);
  }

  @Test
  void englishKeywordsHoldInEveryLanguage() {
    assertThat(Keywords.read("Unsubscribe", Set.of(Language.PL))).contains(Keyword.STOP);
  }

  @Test
  void aKeywordIsNoSentenceThatAsks() {
    assertThat(StopWish.isIn("STOP", ALL)).isFalse();
    assertThat(StopWish.isIn("No me escriban más", Set.of())).isFalse();
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "   ", "🛑", "…"})
  void nothingIsNoKeyword(String words) {
    assertThat(Keywords.read(words, ALL)).isEmpty();
    assertThat(StopWish.isIn(words, ALL)).isFalse();
  }
}
