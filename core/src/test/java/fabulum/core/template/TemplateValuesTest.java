package fabulum.core.template;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.hours.Hours;
import fabulum.core.hours.Span;
import fabulum.core.template.TemplateFinder.Entry;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What stands in for placeholders, and how templates are found. */
class TemplateValuesTest {
  private static final ZoneId CENTRAL = ZoneId.of("America/Chicago");

  /** A Tuesday, 14:05 in Central time. */
  private static final Instant NOW = Instant.parse("2026-06-09T19:05:00Z");

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "Ada Moon; Ada",
        "Moon, Ada; Ada",
        "Dr. Ada Moon; Ada",
        "Ada; Ada",
        "Ann & Tom Reed; Ann and Tom",
        "Ann and Tom Reed; Ann and Tom",
        "Łucja Żak; Łucja",
        "Mary-Jane O'Neil; Mary-Jane",
        "Mrs. Moon; ''",
        "A. Moon; ''",
        "Moon Marine LLC; ''",
        "The Moon Family; ''",
        "(312) 555-0107; ''",
        "''; ''",
      })
  void aFirstNameIsOnlySaidWhereThereIsOne(String name, String first) {
    assertThat(FirstName.of(name).orElse("")).isEqualTo(first);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "US; 2026-06-09T21:00:00Z; today at 4 pm",
        "US; 2026-06-10T05:30:00Z; tomorrow at 12:30 am",
        "US; 2026-06-12T17:00:00Z; Fri Jun 12 at 12 pm",
        "DE; 2026-06-12T19:30:00Z; Fri 12 Jun at 14:30",
        "DE; 2027-01-04T15:00:00Z; Mon 4 Jan, 2027 at 9:00",
      })
  void timesAreSaidAsPeopleAtTheLineSayThem(String region, Instant at, String said) {
    assertThat(new SaidTimes(CENTRAL, region).when(at, NOW)).isEqualTo(said);
  }

  @Test
  void openingHoursAreThoseOfTheDay() {
    SaidTimes said = new SaidTimes(CENTRAL, "US");
    Hours hours =
        new Hours(
            CENTRAL,
            List.of(
                Span.of(DayOfWeek.TUESDAY, LocalTime.of(13, 0), LocalTime.of(17, 30)),
                Span.of(DayOfWeek.TUESDAY, LocalTime.of(8, 0), LocalTime.of(12, 0)),
                Span.of(DayOfWeek.WEDNESDAY, LocalTime.of(18, 0), LocalTime.MIDNIGHT),
                Span.of(DayOfWeek.THURSDAY, LocalTime.of(8, 0), LocalTime.of(17, 0))),
            Set.of(LocalDate.of(2026, 6, 11)));
    assertThat(said.openings(hours, NOW)).isEqualTo("8 am to 12 pm and 1 pm to 5:30 pm");
    assertThat(said.openings(hours, NOW.plusSeconds(86_400))).isEqualTo("6 pm to midnight");
    assertThat(said.openings(hours, NOW.plusSeconds(2 * 86_400))).isEqualTo("closed");
    assertThat(said.openings(hours, NOW.plusSeconds(3 * 86_400))).isEqualTo("closed");
    assertThat(said.openings(Hours.always(CENTRAL), NOW)).isEqualTo("all day");
  }

  @Test
  void placeholdersAreTheCommonOnesAndThoseOfTheBusiness() {
    Catalog catalog = new Catalog(List.of("Boat", "Odd {one}"), List.of("Booking"));
    assertThat(catalog.find(ValueFrom.CUSTOMER, "bOAT")).contains("Boat");
    assertThat(catalog.find(ValueFrom.LINK, "booking")).contains("Booking");
    assertThat(catalog.find(ValueFrom.STAFF, "Boat")).isEmpty();
    assertThat(catalog.find(ValueFrom.CUSTOMER, "Odd {one}")).isEmpty();
    TemplateReader reader = new TemplateReader(catalog);
    assertThat(catalog.list())
        .allSatisfy(
            one -> assertThat(reader.read(one.written())).isInstanceOf(TemplateReader.Good.class));
  }

  private static List<Long> found(String typed) {
    return TemplateFinder.find(
            typed,
            List.of(
                Entry.of(1, "", "Storage rates", "Our rates for a berth in winter"),
                Entry.of(2, "berth", "Free places", "We have these"),
                Entry.of(3, "berths-now", "Another", "Nothing"),
                Entry.of(4, "x1", "Berth rates", "What it costs"),
                Entry.of(5, "x2", "Rates of a berth", "What it costs")))
        .stream()
        .map(Entry::key)
        .toList();
  }

  @Test
  void theShortNameIsFoundFirstThenTheTitleThenTheWords() {
    assertThat(found("Berth")).containsExactly(2L, 3L, 4L, 5L, 1L);
    assertThat(found("rat ber")).containsExactly(5L, 4L, 1L);
    assertThat(found("zebra")).isEmpty();
    assertThat(found(" ")).containsExactly(1L, 2L, 3L, 4L, 5L);
  }

  @Test
  void wordsForOneCustomerBecomeATemplateForAll() {
    Catalog catalog = new Catalog(List.of("Boat"), List.of());
    Values values =
        (whose, name) ->
            java.util.Optional.ofNullable(
                java.util.Map.of(
                        "CUSTOMER first name", "Ann",
                        "CUSTOMER name", "Ann Reed",
                        "CUSTOMER Boat", "Kestrel",
                        "STAFF first name", "Al",
                        "HOURS today", "closed",
                        "JOB standing", "done",
                        "SITE name", "North Dock")
                    .get(whose + " " + name));
    String made =
        Unfilled.of(
            "Ann, Annie says {Kestrel} at North Dock is done, we closed. Ann Reed / Al",
            Unfilled.known(catalog.list(), values));
    assertThat(made)
        .isEqualTo(
            "{customer: first name | there}, Annie says ({customer: Boat}) at {site: name} is done,"
                + " we closed. {customer: name} / Al");
    TemplateText text = ((TemplateReader.Good) new TemplateReader(catalog).read(made)).text();
    assertThat(text.fill(values).words())
        .isEqualTo("Ann, Annie says (Kestrel) at North Dock is done, we closed. Ann Reed / Al");
  }
}
