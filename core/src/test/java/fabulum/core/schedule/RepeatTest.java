package fabulum.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.core.Rounds;
import fabulum.core.schedule.Cycle.Missing;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.dmfs.rfc5545.DateTime;
import org.dmfs.rfc5545.recur.InvalidRecurrenceRuleException;
import org.dmfs.rfc5545.recur.RecurrenceRule;
import org.dmfs.rfc5545.recur.RecurrenceRuleIterator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class RepeatTest {

  private static String dates(String rule, String first) {
    return RepeatText.read(rule)
        .dates(LocalDate.parse(first))
        .limit(4)
        .map(LocalDate::toString)
        .collect(Collectors.joining(" "));
  }

  @ParameterizedTest(name = "{0} from {1}")
  @CsvSource({
    "FREQ=DAILY,                                   2026-12-30, 2026-12-30 2026-12-31 2027-01-01 2027-01-02",
    "FREQ=DAILY;INTERVAL=10,                       2026-06-09, 2026-06-09 2026-06-19 2026-06-29 2026-07-09",
    "FREQ=WEEKLY;BYDAY=MO;WKST=MO,                 2026-06-09, 2026-06-15 2026-06-22 2026-06-29 2026-07-06",
    "'FREQ=WEEKLY;INTERVAL=2;BYDAY=TU,SU',         2026-06-10, 2026-06-14 2026-06-23 2026-06-28 2026-07-07",
    "FREQ=MONTHLY;BYMONTHDAY=-1,                   2026-01-15, 2026-01-31 2026-02-28 2026-03-31 2026-04-30",
    "FREQ=MONTHLY;BYMONTHDAY=31,                   2026-01-15, 2026-01-31 2026-03-31 2026-05-31 2026-07-31",
    "'FREQ=MONTHLY;BYMONTHDAY=28,29,30;BYSETPOS=-1', 2027-12-01, 2027-12-30 2028-01-30 2028-02-29 2028-03-30",
    "FREQ=MONTHLY;INTERVAL=6;BYMONTHDAY=11,        2026-06-12, 2026-12-11 2027-06-11 2027-12-11 2028-06-11",
    "FREQ=MONTHLY;BYDAY=2TU,                       2026-06-10, 2026-07-14 2026-08-11 2026-09-08 2026-10-13",
    "FREQ=MONTHLY;BYDAY=-1FR,                      2026-06-01, 2026-06-26 2026-07-31 2026-08-28 2026-09-25",
    "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29,          2026-06-09, 2028-02-29 2032-02-29 2036-02-29 2040-02-29",
    "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=-1,          2026-06-09, 2027-02-28 2028-02-29 2029-02-28 2030-02-28",
    "FREQ=DAILY;COUNT=2,                           2026-06-09, 2026-06-09 2026-06-10",
    "FREQ=DAILY;UNTIL=20260611,                    2026-06-09, 2026-06-09 2026-06-10 2026-06-11",
    "FREQ=DAILY;UNTIL=20260608,                    2026-06-09,",
  })
  void ruleNamesDates(String rule, String first, String expected) {
    assertThat(dates(rule, first)).isEqualTo(expected == null ? "" : expected);
  }

  @ParameterizedTest(name = "{0}")
  @CsvSource({
    "FREQ=DAILY,                               every day",
    "FREQ=DAILY;INTERVAL=3;COUNT=5,            'every 3 days, 5 times'",
    "'FREQ=WEEKLY;BYDAY=MO,WE,TH;WKST=MO',     'every week on Monday, Wednesday and Thursday'",
    "FREQ=MONTHLY;BYMONTHDAY=-1,               every month on the last day",
    "FREQ=MONTHLY;INTERVAL=6;BYMONTHDAY=22,    every 6 months on the 22nd",
    "FREQ=MONTHLY;BYMONTHDAY=11,               every month on the 11th",
    "FREQ=MONTHLY;BYMONTHDAY=30,               every month on the 30th (not in shorter months)",
    "'FREQ=MONTHLY;BYMONTHDAY=28,29;BYSETPOS=-1', every month on the 29th (the last day of shorter months)",
    "FREQ=MONTHLY;BYDAY=-1FR;UNTIL=20261231,   'every month on the last Friday, until 31 Dec 2026'",
    "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29,      every year on 29 February (leap years only)",
    "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=-1,      every year on 29 February (28 February in other years)",
    "FREQ=YEARLY;INTERVAL=2;BYMONTH=4;BYMONTHDAY=3, every 2 years on 3 April",
    "FREQ=YEARLY;BYMONTH=4;BYMONTHDAY=30,      every year on 30 April",
    "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=28,      every year on 28 February",
    "FREQ=MONTHLY;BYMONTHDAY=28,               every month on the 28th",
    "FREQ=MONTHLY;BYMONTHDAY=29,               every month on the 29th (not in shorter months)",
    "FREQ=MONTHLY;BYMONTHDAY=1,                every month on the 1st",
    "FREQ=MONTHLY;BYDAY=1MO,                   every month on the first Monday",
    "FREQ=MONTHLY;BYDAY=3WE,                   every month on the third Wednesday",
    "FREQ=MONTHLY;BYDAY=4SU,                   every month on the fourth Sunday",
    "FREQ=DAILY;INTERVAL=99;COUNT=1000,        'every 99 days, 1000 times'",
    "FREQ=DAILY;COUNT=1,                       'every day, once'",
  })
  void ruleIsSaidAndWrittenAgain(String rule, String said) {
    Repeat repeat = RepeatText.read(rule);
    assertThat(RepeatText.say(repeat)).isEqualTo(said);
    assertThat(RepeatText.read(RepeatText.write(repeat))).isEqualTo(repeat);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "daily",
        "FREQ=HOURLY",
        "FREQ=DAILY;FREQ=DAILY",
        "FREQ=DAILY;INTERVAL=0",
        "FREQ=DAILY;INTERVAL=100",
        "FREQ=DAILY;INTERVAL=-1",
        "FREQ=DAILY;COUNT=0",
        "FREQ=DAILY;COUNT=1001",
        "FREQ=DAILY;COUNT=99999999999",
        "FREQ=DAILY;COUNT=1/",
        "FREQ=DAILY;COUNT=1:",
        "FREQ=DAILY;COUNT=",
        "FREQ=MONTHLY;BYMONTHDAY=0",
        "FREQ=YEARLY;BYMONTH=4;BYMONTHDAY=31",
        "FREQ=DAILY;COUNT=2;UNTIL=20260611",
        "FREQ=DAILY;UNTIL=2026-06-11",
        "FREQ=DAILY;UNTIL=20260631",
        "FREQ=DAILY;BYDAY=MO",
        "FREQ=DAILY;WKST=SU",
        "FREQ=DAILY;BYHOUR=3",
        "FREQ=WEEKLY",
        "FREQ=WEEKLY;BYDAY=",
        "FREQ=WEEKLY;BYDAY=XX",
        "FREQ=MONTHLY;BYDAY=5TU",
        "FREQ=MONTHLY;BYDAY=TU",
        "FREQ=MONTHLY;BYMONTHDAY=32",
        "FREQ=MONTHLY;BYMONTHDAY=-2",
        "FREQ=MONTHLY;BYMONTHDAY=28,29;BYSETPOS=1",
        "FREQ=MONTHLY;BYMONTHDAY=3,4;BYSETPOS=-1",
        "FREQ=MONTHLY;BYMONTHDAY=3;BYDAY=1MO",
        "FREQ=YEARLY",
        "FREQ=YEARLY;BYMONTH=13;BYMONTHDAY=1",
        "FREQ=YEARLY;BYMONTH=4;BYMONTHDAY=31",
        "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30"
      })
  void otherRulesAreRefusedWithAReason(String rule) {
    assertThatThrownBy(() -> RepeatText.read(rule))
        .isInstanceOf(IllegalArgumentException.class)
        .message()
        .isNotBlank();
  }

  /** Ten thousand rules, against a library of others; printed by their number when they differ. */
  @Test
  void datesAreThoseOfAnIndependentLibrary() throws InvalidRecurrenceRuleException {
    Random random = new Random(20261128);
    for (int i = 0; i < Rounds.of(10_000); i++) {
      Repeat repeat = repeat(random);
      String rule = RepeatText.write(repeat);
      Optional<LocalDate> first =
          repeat.dates(LocalDate.of(2020, 1, 1).plusDays(random.nextInt(4_000))).findFirst();
      if (first.isEmpty()) {
        continue;
      }
      List<LocalDate> ours = repeat.dates(first.get()).limit(20).toList();
      assertThat(ours)
          .as("rule %d: %s from %s", i, rule, first)
          .isEqualTo(theirs(rule, first.get()));
      LocalDate from = first.get().plusDays(random.nextInt(3_000));
      assertThat(repeat.dates(first.get(), from).limit(5))
          .as("rule %d: %s from %s, after %s", i, rule, first, from)
          .isEqualTo(
              repeat.dates(first.get()).dropWhile(day -> day.isBefore(from)).limit(5).toList());
    }
  }

  private static List<LocalDate> theirs(String rule, LocalDate first)
      throws InvalidRecurrenceRuleException {
    RecurrenceRuleIterator dates =
        new RecurrenceRule(rule)
            .iterator(
                new DateTime(first.getYear(), first.getMonthValue() - 1, first.getDayOfMonth()));
    List<LocalDate> found = new ArrayList<>();
    while (found.size() < 20 && dates.hasNext()) {
      DateTime next = dates.nextDateTime();
      if (next.getYear() > 2199) {
        break;
      }
      found.add(LocalDate.of(next.getYear(), next.getMonth() + 1, next.getDayOfMonth()));
    }
    return found;
  }

  private static Repeat repeat(Random random) {
    Missing missing = random.nextBoolean() ? Missing.LAST_DAY : Missing.LEFT_OUT;
    Month month = Month.of(1 + random.nextInt(12));
    DayOfWeek day = DayOfWeek.of(1 + random.nextInt(7));
    Cycle cycle =
        switch (random.nextInt(5)) {
          case 0 -> new Cycle.Daily();
          case 1 -> new Cycle.Weekly(days(random, day));
          case 2 -> new Cycle.Monthly(1 + random.nextInt(31), missing);
          case 3 ->
              new Cycle.MonthlyWeekday(random.nextInt(5) == 0 ? -1 : 1 + random.nextInt(4), day);
          default -> new Cycle.Yearly(month, 1 + random.nextInt(month.maxLength()), missing);
        };
    int every =
        random.nextInt(3) == 0 ? 1 + random.nextInt(Repeat.MOST_EVERY) : 1 + random.nextInt(3);
    OptionalInt times =
        random.nextInt(3) == 0 ? OptionalInt.of(1 + random.nextInt(30)) : OptionalInt.empty();
    Optional<LocalDate> until =
        times.isEmpty() && random.nextInt(2) == 0
            ? Optional.of(LocalDate.of(2030, 1, 1).plusDays(random.nextInt(3_000)))
            : Optional.empty();
    return new Repeat(cycle, every, times, until);
  }

  private static Set<DayOfWeek> days(Random random, DayOfWeek one) {
    Set<DayOfWeek> days = EnumSet.of(one);
    for (DayOfWeek each : DayOfWeek.values()) {
      if (random.nextInt(4) == 0) {
        days.add(each);
      }
    }
    return days;
  }
}
