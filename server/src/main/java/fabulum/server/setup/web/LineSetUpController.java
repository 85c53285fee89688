package fabulum.server.setup.web;

import fabulum.core.access.Act;
import fabulum.core.assignment.Way;
import fabulum.core.attachment.FileKind;
import fabulum.core.hours.EnteredSpan;
import fabulum.server.access.Permits;
import fabulum.server.accounts.SignedIn;
import fabulum.server.lines.HolidayCalendar;
import fabulum.server.lines.Holidays;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LinePromise;
import fabulum.server.lines.LineSending;
import fabulum.server.lines.LineSetup;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.platform.web.SpanMessage;
import fabulum.server.setup.ClosedDays;
import fabulum.server.setup.LineSetUp;
import fabulum.server.setup.Outcome;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Lines as they are set up. */
@RestController
@RequestMapping("/api/setup")
class LineSetUpController {
  private static final long MOST_OF_DAYS = 1_000_000;

  private final LineSetUp setUp;
  private final Lines lines;
  private final Holidays holidays;
  private final Permits permits;
  private final Clock clock;

  LineSetUpController(
      LineSetUp setUp, Lines lines, Holidays holidays, Permits permits, Clock clock) {
    this.setUp = setUp;
    this.lines = lines;
    this.holidays = holidays;
    this.permits = permits;
    this.clock = clock;
  }

  /**
   * A line as it is set up.
   *
   * @param number in E.164, or as people write it in the region
   * @param region ISO 3166-1
   * @param zone IANA name
   * @param week empty for always open
   * @param holidays whose public holidays it keeps as well
   * @param openHolidays public holidays on which it opens all the same
   * @param way in which it gives out what nobody owns; empty for people take
   * @param narrowed whether a person sees on it only what nobody owns or is their own; leads see
   *     all
   * @param tellOfNobodys who is told when something could be given to nobody
   * @param sending what it sends; empty for what is usual
   * @param version which state of the line this is; sent back, a change is refused when the line
   *     has been changed since; without it, the change holds whatever the line is now
   */
  record LineMessage(
      @NotNull(message = "A line has a name.") String name,
      @NotNull(message = "A line has a number.") String number,
      @NotNull(message = "Say in which country.") String region,
      long siteId,
      long teamId,
      @NotNull(message = "Say in which time zone.") String zone,
      boolean inUse,
      int promiseMinutes,
      @NotNull(message = "Hours are needed; none for always open.")
          List<@Valid @NotNull SpanMessage> week,
      @NotNull(message = "Closed days are needed, if only none.")
          List<@NotNull LocalDate> closedDays,
      @Valid @Nullable HolidayCalendar holidays,
      @NotNull(message = "Open holidays are needed, if only none.")
          List<@NotNull LocalDate> openHolidays,
      @Nullable Way way,
      boolean narrowed,
      @Nullable List<@NotNull Long> tellOfNobodys,
      @Valid @Nullable SendingMessage sending,
      @Nullable Long version) {

    LineSetup setup() {
      List<EnteredSpan> stretches = week.stream().map(SpanMessage::stretch).toList();
      return new LineSetup(
          name,
          number,
          region,
          siteId,
          teamId,
          zone,
          inUse,
          promiseMinutes,
          stretches,
          closedDays,
          holidays,
          openHolidays,
          way == null ? Way.NOBODY : way,
          narrowed,
          tellOfNobodys == null ? List.of() : tellOfNobodys,
          sending == null ? LineSending.USUAL : sending.sending());
    }

    static LineMessage of(LineSetup line, String shownNumber, long version) {
      return new LineMessage(
          line.name(),
          shownNumber,
          line.region(),
          line.siteId(),
          line.teamId(),
          line.zone(),
          line.inUse(),
          line.promiseMinutes(),
          line.week().stream().map(SpanMessage::of).toList(),
          line.closedDays(),
          line.holidays(),
          line.openHolidays(),
          line.way(),
          line.narrowed(),
          line.tellOfNobodys(),
          SendingMessage.of(line.sending()),
          version);
    }
  }

  /**
   * What a line sends.
   *
   * @param mostParts how many parts one text may take, 1 to 25
   * @param registered whether the networks carry its texts
   * @param reaches the countries it sends to, ISO 3166-1; empty for all
   * @param signature words below every text; empty for none
   * @param groupLimit how many numbers a group conversation may have, 2 to 20
   * @param carries kinds of attachments it sends; all when left out
   * @param mostKilobytes how large one attachment may be, 100 to 25,000; 5,000 when left out
   */
  record SendingMessage(
      int mostParts,
      boolean registered,
      @NotNull(message = "Say which countries, or none.") Set<@NotNull String> reaches,
      @NotNull(message = "Write a signature, or nothing.") String signature,
      int groupLimit,
      @Nullable Set<@NotNull FileKind> carries,
      @Nullable Integer mostKilobytes) {

    LineSending sending() {
      return new LineSending(
          mostParts,
          registered,
          reaches,
          signature.strip(),
          groupLimit,
          carries == null ? LineSending.USUAL.carries() : carries,
          mostKilobytes == null ? LineSending.USUAL.mostKilobytes() : mostKilobytes);
    }

    static SendingMessage of(LineSending line) {
      return new SendingMessage(
          line.mostParts(),
          line.registered(),
          line.reaches(),
          line.signature(),
          line.groupLimit(),
          line.carries(),
          line.mostKilobytes());
    }
  }

  /**
   * When a text would be due.
   *
   * @param at when it would come
   * @param open whether the line is open then
   * @param due empty when the line never opens
   */
  record PreviewResponse(Instant at, boolean open, @Nullable Instant due) {}

  /** All lines, also those the lead does not see the conversations of. */
  @GetMapping("/lines")
  List<LineView> list(@AuthenticationPrincipal SignedIn me) {
    permits.require(me.id(), Act.LEAD);
    return lines.list();
  }

  /** One line as it is set up; for leads. */
  @GetMapping("/lines/{id}")
  LineMessage line(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    permits.require(me.id(), Act.LEAD);
    LineId line = new LineId(id);
    long version = lines.version(line);
    return LineMessage.of(lines.setup(line), lines.get(line).shownNumber(), version);
  }

  /** Adds a line; for leads. */
  @PostMapping("/lines")
  Outcome addLine(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody LineMessage line) {
    return setUp.addLine(line.setup(), me.id());
  }

  /** Changes a line at once for everybody; what waits on it is due again; for leads. */
  @Problems({Kind.CHANGED_MEANWHILE})
  @PutMapping("/lines/{id}")
  Outcome changeLine(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody LineMessage line) {
    return setUp.changeLine(new LineId(id), line.setup(), line.version(), me.id());
  }

  /**
   * Reads closed days from a calendar (iCalendar) or a CSV file, without saving anything; for
   * leads.
   */
  @PostMapping(path = "/closed-days/read", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  ClosedDays readClosedDays(@AuthenticationPrincipal SignedIn me, @RequestPart MultipartFile file)
      throws IOException {
    permits.require(me.id(), Act.LEAD);
    if (file.getSize() > MOST_OF_DAYS) {
      throw Problem.fields(
          List.of(
              new FieldProblem(
                  "file",
                  "This file is larger than 1 MB, which is more than a list of closed days needs. Nothing was changed.")));
    }
    LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
    return ClosedDays.of(file.getBytes(), today);
  }

  /** When texts would be due under hours and a promise that are not saved yet; for leads. */
  @PostMapping("/lines/preview")
  PreviewResponse preview(
      @RequestParam(required = false) @Nullable Instant at, @Valid @RequestBody LineMessage line) {
    LinePromise promise = lines.preview(line.setup());
    Instant then = at == null ? clock.instant() : at;
    return new PreviewResponse(then, promise.hours().isOpen(then), promise.due(then).orElse(null));
  }

  /** A country by its code, ISO 3166-1, and its English name. */
  record CountryName(String code, String name) {}

  /** All countries, by name. */
  @GetMapping("/countries")
  List<CountryName> allCountries() {
    return Arrays.stream(Locale.getISOCountries())
        .map(code -> new CountryName(code, name(code)))
        .sorted(Comparator.comparing(CountryName::name))
        .toList();
  }

  private static String name(String code) {
    return new Locale.Builder().setRegion(code).build().getDisplayCountry(Locale.ENGLISH);
  }

  /** Countries and regions whose public holidays are known. */
  @GetMapping("/holidays")
  List<Holidays.CountryView> countries() {
    return holidays.countries();
  }

  /** The public holidays of a country or region in this year and the next. */
  @GetMapping("/holidays/{country}")
  List<Holidays.HolidayView> holidays(
      @PathVariable String country, @RequestParam(required = false) @Nullable String region) {
    return holidays.list(new HolidayCalendar(country, region));
  }
}
