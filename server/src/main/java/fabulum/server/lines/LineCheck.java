package fabulum.server.lines;

import fabulum.core.hours.EnteredSpan;
import fabulum.core.hours.PossibleDates;
import fabulum.core.phone.NumberReader;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.promise.Promise;
import fabulum.core.text.OneLine;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.time.Duration;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Whether a line can be set up so; all objections at once. */
@Component
class LineCheck {
  private static final int LONGEST_NAME = 80;
  private static final int MOST_DAYS = 400;
  private static final int MOST_PARTS = 25;
  private static final int MOST_KILOBYTES = 25_000;
  private static final int LARGEST_GROUP = 20;
  private static final int MOST_COUNTRIES = 100;
  private static final Set<String> COUNTRIES = Set.of(Locale.getISOCountries());

  private final Holidays holidays;
  private final NumberReader numbers = new NumberReader();

  LineCheck(Holidays holidays) {
    this.holidays = holidays;
  }

  /** The number in E.164 as it is to be kept. */
  PhoneNumber number(LineSetup wanted) {
    return readNumber(wanted).orElseThrow();
  }

  private Optional<PhoneNumber> readNumber(LineSetup wanted) {
    return wanted.region().matches("[A-Z]{2}")
        ? numbers.readNumber(wanted.number(), new Region(wanted.region()))
        : Optional.empty();
  }

  /**
   * Refuses what cannot be.
   *
   * @param others the lines there are besides
   */
  void require(LineSetup wanted, List<LineView> others) {
    List<FieldProblem> bad = new ArrayList<>(objections(wanted));
    if (others.stream().anyMatch(line -> line.name().equalsIgnoreCase(wanted.name().strip()))) {
      bad.add(new FieldProblem("name", "Another line has this name."));
    }
    readNumber(wanted)
        .filter(number -> others.stream().anyMatch(line -> line.number().equals(number.e164())))
        .ifPresent(number -> bad.add(new FieldProblem("number", "Another line has this number.")));
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
  }

  /** What cannot be, apart from other lines. */
  List<FieldProblem> objections(LineSetup wanted) {
    List<FieldProblem> bad = new ArrayList<>();
    if (wanted.name().isBlank() || wanted.name().strip().length() > LONGEST_NAME) {
      bad.add(new FieldProblem("name", "Give the line a name of at most 80 characters."));
    }
    OneLine.objection(wanted.name().strip())
        .ifPresent(why -> bad.add(new FieldProblem("name", why)));
    if (readNumber(wanted).isEmpty()) {
      bad.add(
          new FieldProblem(
              "number", "Not a valid phone number in " + country(wanted.region()) + "."));
    }
    if (!ZoneId.getAvailableZoneIds().contains(wanted.zone())) {
      bad.add(
          new FieldProblem(
              "zone",
              "There is no time zone “"
                  + wanted.zone()
                  + "”. Choose one such as America/Chicago."));
    }
    if (!Promise.isPossible(Duration.ofMinutes(wanted.promiseMinutes()))) {
      bad.add(
          new FieldProblem(
              "promiseMinutes", "A promise is between 1 minute and 30 days of working time."));
    }
    EnteredSpan.objections(wanted.week()).forEach(why -> bad.add(new FieldProblem("week", why)));
    if (!wanted.closedDays().stream().allMatch(PossibleDates::isOne)
        || !wanted.openHolidays().stream().allMatch(PossibleDates::isOne)) {
      bad.add(new FieldProblem("closedDays", "Dates lie between 1900 and 2199."));
    }
    if (wanted.closedDays().size() > MOST_DAYS || wanted.openHolidays().size() > MOST_DAYS) {
      bad.add(new FieldProblem("closedDays", "At most 400 closed days are kept."));
    }
    sending(wanted.sending(), bad);
    HolidayCalendar calendar = wanted.holidays();
    if (calendar != null && !holidays.isKnown(calendar)) {
      bad.add(
          new FieldProblem(
              "holidays",
              "There is no calendar of public holidays for " + calendar.country() + "."));
    }
    return bad;
  }

  private static void sending(LineSending sending, List<FieldProblem> bad) {
    if (sending.mostParts() < 1 || sending.mostParts() > MOST_PARTS) {
      bad.add(new FieldProblem("sending.mostParts", "1 to 25 parts."));
    }
    if (sending.mostKilobytes() < 100 || sending.mostKilobytes() > MOST_KILOBYTES) {
      bad.add(new FieldProblem("sending.mostKilobytes", "0.1 to 25 MB."));
    }
    if (!LineSending.ALL_KINDS.containsAll(sending.carries())) {
      bad.add(new FieldProblem("sending.carries", "Choose kinds from the list."));
    }
    if (sending.groupLimit() < 2 || sending.groupLimit() > LARGEST_GROUP) {
      bad.add(new FieldProblem("sending.groupLimit", "2 to 20 numbers."));
    }
    if (sending.signature().length() > LONGEST_NAME) {
      bad.add(new FieldProblem("sending.signature", "Use at most 80 characters."));
    }
    OneLine.objection(sending.signature())
        .ifPresent(why -> bad.add(new FieldProblem("sending.signature", why)));
    if (!COUNTRIES.containsAll(sending.reaches())) {
      bad.add(new FieldProblem("sending.reaches", "Choose countries from the list."));
    }
    if (sending.reaches().size() > MOST_COUNTRIES) {
      bad.add(
          new FieldProblem(
              "sending.reaches", "Choose at most 100 countries, or none for all of them."));
    }
  }

  private static String country(String region) {
    if (!region.matches("[A-Z]{2}")) {
      return "the region “" + region + "”";
    }
    String name = new Locale.Builder().setRegion(region).build().getDisplayCountry(Locale.ENGLISH);
    return name.equals(region) ? "the region “" + region + "”" : name;
  }
}
