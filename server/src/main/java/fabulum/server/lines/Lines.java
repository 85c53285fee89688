package fabulum.server.lines;

import fabulum.core.assignment.Way;
import fabulum.core.hours.EnteredSpan;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.text.OneLine;
import fabulum.server.access.TeamId;
import fabulum.server.lines.store.LineMapper;
import fabulum.server.lines.store.LineRow;
import fabulum.server.people.People;
import fabulum.server.people.Teams;
import fabulum.server.platform.BriefMemory;
import fabulum.server.platform.CachedSetUp;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The lines of the business. */
@Service
public class Lines implements CachedSetUp {
  private final LineMapper lines;
  private final Teams teams;
  private final People people;
  private final Holidays holidays;
  private final LineCheck check;
  private final LineRows rows;
  private final BriefMemory<List<LineView>> all;
  private final BriefMemory<Map<LineId, LinePromise>> promises;

  Lines(LineMapper lines, Teams teams, People people, Holidays holidays, LineCheck check) {
    this.lines = lines;
    this.rows = new LineRows(lines);
    this.teams = teams;
    this.people = people;
    this.holidays = holidays;
    this.check = check;
    this.all = new BriefMemory<>(() -> lines.list().stream().map(rows::view).toList());
    this.promises = new BriefMemory<>(this::readPromises);
  }

  /** All lines, by site and name; a change is in it a second later at most. */
  public List<LineView> list() {
    return all.get();
  }

  /** By whose clocks the business lives: those of the first line in use. */
  public ZoneId zone() {
    return list().stream()
        .filter(LineView::inUse)
        .findFirst()
        .map(line -> ZoneId.of(line.zone()))
        .orElse(ZoneOffset.UTC);
  }

  /** The line with this number. */
  public Optional<LineView> findByNumber(PhoneNumber number) {
    return lines.findByNumber(number.e164()).map(rows::view);
  }

  /** The line. */
  public LineView get(LineId id) {
    return rows.view(row(id));
  }

  private LineRow row(LineId id) {
    return lines.find(id.value()).orElseThrow(() -> Problem.notFound("line"));
  }

  /** Who is told when something on the line could be given to nobody. */
  public List<Long> toldOfNobodys(LineId id) {
    return lines.listToldOfNobodys(id.value());
  }

  /** Holds the line, so that what it gives out follows one another. */
  public void lockForGiving(LineId id) {
    lines.lock(id.value());
  }

  /** What the line promises; a change is in it a second later at most. */
  public LinePromise promise(LineId id) {
    LinePromise known = promises.get().get(id);
    return known == null ? LinePromise.of(rows.setup(row(id)), holidays) : known;
  }

  private Map<LineId, LinePromise> readPromises() {
    return lines.list().stream()
        .collect(
            Collectors.toMap(
                row -> new LineId(row.id()), row -> LinePromise.of(rows.setup(row), holidays)));
  }

  /** All that is set up about a line. */
  public LineSetup setup(LineId id) {
    return rows.setup(row(id));
  }

  /** Which state of its set-up a line is in; grows with each change. */
  public long version(LineId id) {
    return row(id).version();
  }

  /** What a line set up so would promise. Refuses what cannot be. */
  public LinePromise preview(LineSetup wanted) {
    List<FieldProblem> bad = check.objections(wanted);
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
    return LinePromise.of(wanted, holidays);
  }

  /** Sets up a line. */
  @Transactional
  public LineId add(NewLine line) {
    long site = lines.findSite(line.site()).orElseGet(() -> lines.insertSite(line.site()));
    LineSetup setup =
        new LineSetup(
            line.name(),
            line.number().e164(),
            line.region().code(),
            site,
            teams.named(line.team()).value(),
            line.hours().zone().getId(),
            true,
            (int) line.promise().within().toMinutes(),
            line.hours().week().stream().map(EnteredSpan::of).toList(),
            List.copyOf(line.hours().closedDays()),
            null,
            List.of(),
            Way.NOBODY,
            false,
            List.of(),
            LineSending.USUAL);
    return insert(setup, line.number());
  }

  /** Sets up a line. Refuses what cannot be, with every reason. */
  @Transactional
  public LineId add(LineSetup wanted) {
    check.require(wanted, lines.list().stream().map(rows::view).toList());
    requirePlaces(wanted);
    return insert(wanted, check.number(wanted));
  }

  private LineId insert(LineSetup wanted, PhoneNumber number) {
    long id =
        lines.insert(
            wanted,
            wanted.name().strip(),
            number.e164(),
            LineRows.codes(wanted),
            LineRows.kinds(wanted));
    rows.writeCalendar(id, wanted);
    forget();
    return new LineId(id);
  }

  /**
   * Sets a line up otherwise. Refuses what cannot be, with every reason, and changes nothing then.
   *
   * @param seen the version it was changed from, refused when that is no longer so; empty for
   *     whatever it is now
   */
  @Transactional
  public void change(LineId id, LineSetup wanted, @Nullable Long seen) {
    row(id);
    check.require(
        wanted,
        lines.list().stream().filter(row -> row.id() != id.value()).map(rows::view).toList());
    requirePlaces(wanted);
    String number = check.number(wanted).e164();
    String name = wanted.name().strip();
    if (lines.update(
            id.value(), wanted, name, number, LineRows.codes(wanted), LineRows.kinds(wanted), seen)
        == 0) {
      throw Problem.changedMeanwhile("line");
    }
    lines.deleteSpans(id.value());
    lines.deleteClosedDays(id.value());
    lines.deleteOpenHolidays(id.value());
    lines.deleteToldOfNobodys(id.value());
    rows.writeCalendar(id.value(), wanted);
    forget();
  }

  private void requirePlaces(LineSetup wanted) {
    if (lines.listSites().stream().noneMatch(site -> site.id() == wanted.siteId())) {
      throw Problem.notFound("site");
    }
    teams.get(new TeamId(wanted.teamId()));
    if (!people.byId().keySet().containsAll(wanted.tellOfNobodys())) {
      throw Problem.notFound("member of staff");
    }
  }

  /** Forgets what is remembered of lines, after a change. */
  @Override
  public void forget() {
    all.forget();
    promises.forget();
  }

  /** Places of business, by name. */
  public List<SiteView> listSites() {
    return lines.listSites();
  }

  /**
   * Adds a site.
   *
   * @param name unique, 1 to 80 characters
   */
  @Transactional
  public SiteView addSite(String name) {
    String kept = siteName(name, 0);
    return new SiteView(lines.insertSite(kept), kept);
  }

  /** Gives a site another name. */
  @Transactional
  public void renameSite(long id, String name) {
    if (lines.renameSite(id, siteName(name, id)) == 0) {
      throw Problem.notFound("site");
    }
    forget();
  }

  private String siteName(String name, long butNot) {
    String kept = name.strip();
    if (kept.isEmpty() || kept.length() > 80) {
      throw Problem.fields(
          List.of(new FieldProblem("name", "Give the site a name of at most 80 characters.")));
    }
    OneLine.objection(kept)
        .ifPresent(why -> {
          throw Problem.fields(List.of(new FieldProblem("name", why)));
        });
    if (lines.listSites().stream()
        .anyMatch(site -> site.id() != butNot && site.name().equalsIgnoreCase(kept))) {
      throw Problem.fields(List.of(new FieldProblem("name", "Another site has this name.")));
    }
    return kept;
  }
}
