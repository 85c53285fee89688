package fabulum.core.sentence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.core.sentence.ReportSentence.By;
import fabulum.core.sentence.ReportSentence.Subject;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class ReportSentenceTest {
  /** The page reads and writes the same texts; both are held to this table. */
  @Test
  void everyTextOfTheTableIsReadAndWrittenUnchanged() throws IOException {
    try (var table =
        Objects.requireNonNull(getClass().getResourceAsStream("/sentences-reports.txt"))) {
      String texts = new String(table.readAllBytes(), StandardCharsets.UTF_8);
      assertThat(texts.lines().filter(text -> !text.startsWith("#")))
          .hasSizeGreaterThan(25)
          .allSatisfy(text -> assertThat(ReportSentence.read(text).text()).isEqualTo(text));
    }
  }

  @Test
  void nothingIsTheAnswersOfFourWeeksByDay() {
    ReportSentence nothing = ReportSentence.read("");
    assertThat(nothing.subject()).isEqualTo(Subject.ANSWERS);
    assertThat(nothing.by()).isEqualTo(By.DAY);
    LocalDate today = LocalDate.parse("2026-06-09");
    assertThat(nothing.first(today)).contains(LocalDate.parse("2026-05-13"));
    assertThat(nothing.last(today)).isEqualTo(today);
  }

  @ParameterizedTest
  @EnumSource(Subject.class)
  void everySubjectHasRowsWithoutSayingWhich(Subject subject) {
    assertThat(subject.splits()).contains(ReportSentence.read(subject.clause()).by());
  }

  @ParameterizedTest
  @CsvSource({"2026-12-31, 2026-06-09", "2026-06-09, 2026-06-09", "2026-05-01, 2026-05-01"})
  void theLastDayIsTodayAtMost(LocalDate said, LocalDate last) {
    ReportSentence sentence = ReportSentence.read("to " + said);
    assertThat(sentence.last(LocalDate.parse("2026-06-09"))).isEqualTo(last);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "by hour",
        "by reason",
        "people; by day",
        "waits; person 2",
        "texts; person 2",
        "costs; topic 1",
        "unknown numbers; topic 1",
        "by nothing",
        "line 0",
        "last 0",
        "from 2026-02-30",
        "from 2026-03-01; to 2026-02-01",
        "answer times; answer times",
        "answers"
      })
  void whatCannotBeIsRefused(String text) {
    assertThatThrownBy(() -> ReportSentence.read(text))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
