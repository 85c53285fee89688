package fabulum.server.setup.web;

import fabulum.core.hours.Stretch;
import fabulum.server.lines.HolidayCalendar;
import fabulum.server.lines.Holidays;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LinePromise;
import fabulum.server.lines.LineSetup;
import fabulum.server.lines.Lines;
import fabulum.server.lines.SiteView;
import fabulum.server.people.SignedIn;
import fabulum.server.people.TeamId;
import fabulum.server.setup.ChangeView;
import fabulum.server.setup.SetUp;
import fabulum.server.topics.TopicColour;
import fabulum.server.topics.TopicId;
import fabulum.server.topics.TopicSetup;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Lines, sites and topics as they are set up, and who changed what. */
@RestController
@RequestMapping("/api/setup")
class SetUpController {
  private static final int LONGEST_HISTORY = 100;

  private final SetUp setUp;
  private final Lines lines;
  private final Holidays holidays;
  private final Clock clock;

  SetUpController(SetUp setUp, Lines lines, Holidays holidays, Clock clock) {
    this.setUp = setUp;
    this.lines = lines;
    this.holidays = holidays;
    this.clock = clock;
  }

  /**
   * Opening hours.
   *
   * @param day 1 Monday to 7 Sunday
   * @param from minutes of that day
   * @param to minutes from the beginning of that day; beyond 1440 they end on the next
   */
  record SpanMessage(
      @Min(value = 1, message = "Days are 1 to 7.") @Max(value = 7, message = "Days are 1 to 7.")
          int day,
      int from,
      int to) {
    static SpanMessage of(Stretch stretch) {
      return new SpanMessage(stretch.day().getValue(), stretch.from(), stretch.to());
    }
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
      @NotNull(message = "Hours are needed; none for always open.") List<@Valid SpanMessage> week,
      @NotNull(message = "Closed days are needed, if only none.") List<LocalDate> closedDays,
      @Nullable HolidayCalendar holidays,
      @NotNull(message = "Open holidays are needed, if only none.") List<LocalDate> openHolidays) {

    LineSetup setup() {
      List<Stretch> stretches =
          week.stream()
              .map(span -> new Stretch(DayOfWeek.of(span.day()), span.from(), span.to()))
              .toList();
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
          openHolidays);
    }

    static LineMessage of(LineSetup line) {
      return new LineMessage(
          line.name(),
          line.number(),
          line.region(),
          line.siteId(),
          line.teamId(),
          line.zone(),
          line.inUse(),
          line.promiseMinutes(),
          line.week().stream().map(SpanMessage::of).toList(),
          line.closedDays(),
          line.holidays(),
          line.openHolidays());
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

  record NameRequest(@NotNull(message = "A name is needed.") String name) {}

  /**
   * A topic.
   *
   * @param promiseMinutes of working time; empty for as its line promises
   */
  record TopicMessage(
      @NotNull(message = "A topic is a word or two.") String name,
      @NotNull(message = "Choose a colour.") TopicColour colour,
      @Nullable Integer promiseMinutes,
      boolean retired) {
    TopicSetup setup() {
      return new TopicSetup(name, colour, promiseMinutes, retired);
    }
  }

  record MergeRequest(long into) {}

  @GetMapping("/lines/{id}")
  LineMessage line(@PathVariable long id) {
    return LineMessage.of(lines.setup(new LineId(id)));
  }

  @PostMapping("/lines")
  SetUp.Outcome addLine(
      @AuthenticationPrincipal SignedIn me, @Valid @RequestBody LineMessage line) {
    return setUp.addLine(line.setup(), me.id());
  }

  @PutMapping("/lines/{id}")
  SetUp.Outcome changeLine(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody LineMessage line) {
    return setUp.changeLine(new LineId(id), line.setup(), me.id());
  }

  @PostMapping("/lines/preview")
  PreviewResponse preview(
      @RequestParam(required = false) @Nullable Instant at, @Valid @RequestBody LineMessage line) {
    LinePromise promise = lines.preview(line.setup());
    Instant then = at == null ? clock.instant() : at;
    return new PreviewResponse(then, promise.hours().isOpen(then), promise.due(then).orElse(null));
  }

  @GetMapping("/sites")
  List<SiteView> sites() {
    return lines.listSites();
  }

  @PostMapping("/sites")
  SetUp.Outcome addSite(
      @AuthenticationPrincipal SignedIn me, @Valid @RequestBody NameRequest site) {
    return setUp.addSite(site.name(), me.id());
  }

  @PutMapping("/sites/{id}")
  SetUp.Outcome renameSite(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody NameRequest site) {
    return setUp.renameSite(id, site.name(), me.id());
  }

  @PostMapping("/teams/{team}/topics")
  SetUp.Outcome addTopic(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long team,
      @Valid @RequestBody TopicMessage topic) {
    return setUp.addTopic(new TeamId(team), topic.setup(), me.id());
  }

  @PutMapping("/topics/{id}")
  SetUp.Outcome changeTopic(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody TopicMessage topic) {
    return setUp.changeTopic(new TopicId(id), topic.setup(), me.id());
  }

  @PostMapping("/topics/{id}/merge")
  SetUp.Outcome mergeTopic(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody MergeRequest merge) {
    return setUp.mergeTopic(new TopicId(id), new TopicId(merge.into()), me.id());
  }

  @GetMapping("/holidays")
  List<Holidays.CountryView> countries() {
    return holidays.countries();
  }

  @GetMapping("/holidays/{country}")
  List<Holidays.HolidayView> holidays(
      @PathVariable String country, @RequestParam(required = false) @Nullable String region) {
    return holidays.list(new HolidayCalendar(country, region));
  }

  @GetMapping("/history")
  List<ChangeView> history(@RequestParam(defaultValue = "9223372036854775807") long before) {
    return setUp.history(before, LONGEST_HISTORY);
  }
}
