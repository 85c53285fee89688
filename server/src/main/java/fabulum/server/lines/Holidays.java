package fabulum.server.lines;

import de.focus_shift.jollyday.core.CalendarHierarchy;
import de.focus_shift.jollyday.core.Holiday;
import de.focus_shift.jollyday.core.HolidayManager;
import de.focus_shift.jollyday.core.HolidayType;
import de.focus_shift.jollyday.core.ManagerParameters;
import fabulum.server.platform.Problem;
import java.time.Clock;
import java.time.LocalDate;
import java.time.Year;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Public holidays by country and region, from the calendars that come with Jollyday. */
@Service
public class Holidays {
  /** Waits and late answers lie in the near past; what is due and set aside in the near future. */
  private static final int YEARS_BACK = 2;

  private static final int YEARS_AHEAD = 3;

  private final Clock clock;

  Holidays(Clock clock) {
    this.clock = clock;
  }

  /** A public holiday. */
  public record HolidayView(LocalDate day, String name) {}

  /** A country that has a calendar, with its parts that have holidays of their own. */
  public record CountryView(String code, String name, List<RegionView> regions) {}

  /** A part of a country. */
  public record RegionView(String code, String name) {}

  /** Every country with a calendar, by name. */
  public List<CountryView> countries() {
    return HolidayManager.getSupportedCalendarCodes().stream()
        .filter(code -> code.matches("[a-zA-Z]{2}"))
        .map(code -> country(code, manager(code).getCalendarHierarchy()))
        .sorted(Comparator.comparing(CountryView::name))
        .toList();
  }

  private static CountryView country(String code, CalendarHierarchy of) {
    List<RegionView> regions =
        of.getChildren().values().stream()
            .map(part ->
                new RegionView(
                    part.getId().toUpperCase(Locale.ROOT), part.getDescription(Locale.ENGLISH)))
            .sorted(Comparator.comparing(RegionView::name))
            .toList();
    return new CountryView(
        code.toUpperCase(Locale.ROOT), of.getDescription(Locale.ENGLISH), regions);
  }

  /** Whether there is a calendar for it. */
  public boolean isKnown(HolidayCalendar calendar) {
    String region = calendar.region();
    return HolidayManager.getSupportedCalendarCodes().stream()
            .anyMatch(code -> code.equalsIgnoreCase(calendar.country()))
        && (region == null
            || manager(calendar.country()).getCalendarHierarchy().getChildren().keySet().stream()
                .anyMatch(region::equalsIgnoreCase));
  }

  /**
   * The public holidays from two years back to three years ahead, in order.
   *
   * @throws Problem when there is no such calendar
   */
  public List<HolidayView> list(HolidayCalendar calendar) {
    if (!isKnown(calendar)) {
      throw Problem.notFound("calendar of public holidays");
    }
    int year = clock.instant().atZone(ZoneOffset.UTC).getYear();
    return IntStream.rangeClosed(year - YEARS_BACK, year + YEARS_AHEAD)
        .mapToObj(Year::of)
        .map(of -> holidays(of, calendar))
        .flatMap(Collection::stream)
        .map(holiday ->
            new HolidayView(
                holiday.getObservedDate().orElse(holiday.getDate()),
                holiday.getDescription(Locale.ENGLISH)))
        .sorted(Comparator.comparing(HolidayView::day))
        .toList();
  }

  /** The dates of {@link #list}. */
  public Set<LocalDate> days(HolidayCalendar calendar) {
    return list(calendar).stream().map(HolidayView::day).collect(Collectors.toSet());
  }

  private static Set<Holiday> holidays(Year year, HolidayCalendar calendar) {
    String[] region =
        Stream.ofNullable(calendar.region())
            .map(part -> part.toLowerCase(Locale.ROOT))
            .toArray(String[]::new);
    return manager(calendar.country()).getHolidays(year, HolidayType.PUBLIC_HOLIDAY, region);
  }

  private static HolidayManager manager(String country) {
    return HolidayManager.getInstance(ManagerParameters.create(country.toLowerCase(Locale.ROOT)));
  }
}
