package fabulum.core.hours;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EnteredSpanTest {

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "480|1020|",
        "1200|1560|",
        "0|1440|",
        "540|540|The hours on Friday are empty: they begin and end at 09:00.",
        "1020|480|The hours on Friday end at 08:00, before they begin at 17:00.",
        "-15|480|The hours on Friday are not within that day and the next.",
        "1440|1500|The hours on Friday are not within that day and the next.",
        "480|1980|The hours on Friday are longer than a day.",
      })
  void whatCannotBeIsSaid(int from, int to, String objection) {
    List<EnteredSpan> week = List.of(new EnteredSpan(DayOfWeek.FRIDAY, from, to));
    assertThat(EnteredSpan.objections(week))
        .isEqualTo(objection == null ? List.of() : List.of(objection));
    if (objection == null) {
      assertThat(EnteredSpan.of(week.get(0).span())).isEqualTo(week.get(0));
    }
  }

  @Test
  void theWeekGoesRound() {
    List<EnteredSpan> week =
        List.of(
            new EnteredSpan(DayOfWeek.SUNDAY, 1320, 1500),
            new EnteredSpan(DayOfWeek.MONDAY, 30, 600));
    assertThat(EnteredSpan.objections(week)).singleElement().asString().contains("Monday", "00:30");
  }
}
