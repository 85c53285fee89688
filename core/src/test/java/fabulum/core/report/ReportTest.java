package fabulum.core.report;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.core.report.ByHour.Cell;
import fabulum.core.report.DaySums.Key;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.YearMonth;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.Random;
import java.util.Set;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ReportTest {
  private static final ZoneId CENTRAL = ZoneId.of("America/Chicago");
  private static final long SEED = 20261128;

  @ParameterizedTest
  @CsvSource({
    "50, 20", "51, 30", "75, 30", "76, 40", "90, 40", "100, 40", "1, 10", "25, 10", "26, 20"
  })
  void aPercentileIsTheSmallestThatThisShareDidNotExceed(int percent, long seconds) {
    assertThat(Seconds.of(30, 10, 40, 20).percentile(percent)).hasValue(seconds);
  }

  @Test
  void ofNothingThereIsNoPercentileAndBelowZeroThereIsNoTime() {
    assertThat(Seconds.NONE.percentile(50)).isEmpty();
    assertThatThrownBy(() -> Seconds.of(5, -1)).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> Seconds.of(5).percentile(0))
        .isInstanceOf(IllegalArgumentException.class);
  }

  /** Any times come back as they were kept, and joined days are as one day of all their times. */
  @Test
  void timesAreKeptExactly() {
    Random random = new Random(SEED);
    for (int i = 0; i < 500; i++) {
      long[] one = random.longs(random.nextInt(9), 0, 1L << random.nextInt(40)).toArray();
      long[] two = random.longs(random.nextInt(9), 0, 100_000).toArray();
      Seconds first = Seconds.of(one);
      assertThat(Seconds.read(first.bytes())).as("seed " + SEED).isEqualTo(first);
      assertThat(Seconds.join(List.of(first, Seconds.of(two))))
          .isEqualTo(
              Seconds.of(LongStream.concat(LongStream.of(one), LongStream.of(two)).toArray()));
    }
  }

  @Test
  void bytesThatAreCutOffAreRefused() {
    byte[] cut = {(byte) 0x80};
    assertThatThrownBy(() -> Seconds.read(cut)).hasMessageContaining("end within a number");
    assertThatThrownBy(() -> ByHour.read(new byte[] {5})).hasMessageContaining("no number");
  }

  @Test
  void whatIsAboutTwoTopicsCountsInEachAndOnceInAll() {
    LocalDateTime at = LocalDateTime.parse("2026-06-09T10:00");
    Fact both = new Fact(Measure.ANSWERED, at, 3, Set.of(7L, 8L), OptionalLong.of(60), true);
    Fact none = new Fact(Measure.ANSWERED, at, 3, Set.of(), OptionalLong.of(90), false);
    Map<Key, Sum> sums = DaySums.of(List.of(both, none)).sums();
    assertThat(sums.get(new Key(Measure.ANSWERED, 3, DaySums.ALL_TOPICS)))
        .isEqualTo(new Sum(2, 1, Seconds.of(60, 90)));
    assertThat(sums.get(new Key(Measure.ANSWERED, 3, 7)))
        .isEqualTo(sums.get(new Key(Measure.ANSWERED, 3, 8)))
        .isEqualTo(new Sum(1, 1, Seconds.of(60)));
    assertThat(sums.get(new Key(Measure.ANSWERED, 3, DaySums.NO_TOPIC)))
        .isEqualTo(new Sum(1, 0, Seconds.of(90)));
    assertThat(sums).hasSize(4);
  }

  /** The hours of a wait add up to the wait, over both changes of the clocks. */
  @Test
  void theHoursOfAWaitAddUpToIt() {
    Random random = new Random(SEED);
    for (String day :
        List.of("2026-03-07T12:00:00Z", "2026-10-31T12:00:00Z", "2026-06-09T00:00:00Z")) {
      for (int i = 0; i < 200; i++) {
        Instant from = Instant.parse(day).plusSeconds(random.nextInt(90_000));
        Instant to = from.plusSeconds(random.nextInt(200_000));
        List<Cell> cells = ByHour.spread(from, to, CENTRAL);
        assertThat(cells.stream().mapToLong(Cell::value).sum())
            .isEqualTo(Duration.between(from, to).toSeconds());
        ByHour summed = new ByHour(cells).summed();
        assertThat(ByHour.read(summed.bytes())).isEqualTo(summed);
      }
    }
  }

  @Test
  void anHourThatIsRepeatedHasTwiceTheSecondsAndOneThatIsSkippedNone() {
    List<Cell> autumn =
        new ByHour(
                ByHour.spread(
                    Instant.parse("2026-11-01T05:00:00Z"),
                    Instant.parse("2026-11-01T09:00:00Z"),
                    CENTRAL))
            .summed()
            .cells();
    assertThat(autumn).extracting(cell -> cell.begins().getHour()).containsExactly(0, 1, 2);
    assertThat(autumn).extracting(Cell::value).containsExactly(3_600L, 7_200L, 3_600L);
    List<Cell> spring =
        ByHour.spread(
            Instant.parse("2026-03-08T07:00:00Z"), Instant.parse("2026-03-08T09:00:00Z"), CENTRAL);
    assertThat(spring).extracting(cell -> cell.begins().getHour()).containsExactly(1, 3);
  }

  @Test
  void theHourOfTheWeekIsCountedFromMondayMidnight() {
    LocalDateTime monday = LocalDateTime.parse("1969-12-29T00:00");
    for (int hour = 72; hour < 3 * 168; hour++) {
      LocalDateTime at = monday.plusHours(hour).plusMinutes(59);
      assertThat(Cell.of(at, 1).hourOfWeek()).as(at.toString()).isEqualTo(hour % 168);
    }
  }

  /** Ten parts on each Monday, nothing else: a month with five Mondays brings fifty. */
  @Test
  void theComingMonthGoesByTheWeekdaysOfTheLastEightWeeks() {
    LocalDate today = LocalDate.parse("2026-05-27");
    Map<LocalDate, Long> sums = new HashMap<>();
    today
        .minusDays(200)
        .datesUntil(today.plusDays(1))
        .forEach(day -> {
          boolean old = day.isBefore(today.minusDays(56));
          sums.put(day, day.getDayOfWeek().getValue() == 1 ? 10L : old ? 1_000L : 0L);
        });
    sums.put(today, 9_999L);
    LocalDate first = today.minusDays(200);
    assertThat(Pace.month(YearMonth.of(2026, 6), sums, first, today)).isEqualTo(50);
    assertThat(Pace.month(YearMonth.of(2026, 7), sums, first, today)).isEqualTo(40);
  }

  @Test
  void fewerWeeksAreEnoughButNotLessThanOne() {
    LocalDate today = LocalDate.parse("2026-05-27");
    List<LocalDate> week = new ArrayList<>(today.minusDays(7).datesUntil(today).toList());
    Map<LocalDate, Long> sums = new HashMap<>();
    week.forEach(day -> sums.put(day, 2L));
    assertThat(Pace.month(YearMonth.of(2026, 6), sums, today.minusDays(7), today)).isEqualTo(60);
    assertThat(Pace.month(YearMonth.of(2026, 6), sums, today.minusDays(6), today)).isZero();
  }
}
