package fabulum.core.sentence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.core.sentence.HistorySentence.What;
import fabulum.core.sentence.HistorySentence.When;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class HistorySentenceTest {
  /** The page reads and writes the same texts; both are held to this table. */
  @Test
  void everyTextOfTheTableIsReadAndWrittenUnchanged() throws IOException {
    try (var table =
        Objects.requireNonNull(getClass().getResourceAsStream("/sentences-history.txt"))) {
      String texts = new String(table.readAllBytes(), StandardCharsets.UTF_8);
      assertThat(texts.lines().filter(text -> !text.startsWith("#")))
          .hasSizeGreaterThan(25)
          .allSatisfy(text -> assertThat(HistorySentence.read(text).text()).isEqualTo(text));
    }
  }

  @Test
  void nothingIsTheTextsSinceTheMondayBeforeLast() {
    HistorySentence nothing = HistorySentence.read(" ; ");
    assertThat(nothing.what()).isEqualTo(What.TEXTS);
    assertThat(nothing.when()).isEqualTo(When.USUAL);
    assertThat(nothing.text()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "2026-06-10, 2026-06-01",
    "2026-06-08, 2026-06-01",
    "2026-06-07, 2026-05-25",
    "2026-01-01, 2025-12-22"
  })
  void theMondayBeforeLastIsTheWeekBeforeThisOne(LocalDate today, LocalDate first) {
    assertThat(When.USUAL.first(today)).contains(first);
    assertThat(When.EVER.first(today)).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "texts",
        "line x",
        "by nobody",
        "state lost",
        "state",
        "ever 3",
        "any thing",
        "with",
        "sent; received",
        "automatic; by a person",
        "ever; last 3",
        "from 2026-02-30",
        "from 2026-03-01; to 2026-02-01",
        "last 0",
        "mention"
      })
  void whatCannotBeReadIsNamed(String text) {
    assertThatThrownBy(() -> HistorySentence.read(text))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void tooManyWordsAreRefused() {
    assertThatThrownBy(() -> HistorySentence.read("mention " + "word ".repeat(10_000)))
        .hasMessageContaining("300");
  }
}
