package fabulum.server.setup;

import fabulum.server.access.AccessRecord;
import fabulum.server.access.StaffId;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineSetup;
import fabulum.server.lines.Lines;
import fabulum.server.lines.SiteView;
import fabulum.server.people.TeamView;
import fabulum.server.people.Teams;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Sets up lines and sites. Each change is kept with who made it and when. */
@Service
public class LineSetUp {
  private final Lines lines;
  private final Teams teams;
  private final AccessRecord record;
  private final ChangeBook changes;
  private final SetUpChanges all;

  LineSetUp(Lines lines, Teams teams, AccessRecord record, ChangeBook changes, SetUpChanges all) {
    this.lines = lines;
    this.teams = teams;
    this.record = record;
    this.changes = changes;
    this.all = all;
  }

  /** Sets up a new line. */
  public Outcome addLine(LineSetup wanted, StaffId by) {
    return all.carryOutForNewLine(
        by,
        () -> {
          LineId id = lines.add(wanted);
          changes.note(by, subject(wanted), "added", null, null);
          record.noteAll(by, subject(wanted), Map.of(), access(wanted));
          return id.value();
        });
  }

  /**
   * Sets a line up otherwise.
   *
   * @param seen the version it was changed from; empty for whatever it is now
   */
  public Outcome changeLine(LineId id, LineSetup wanted, @Nullable Long seen, StaffId by) {
    return all.carryOut(
        by,
        () -> {
          LineSetup before = lines.setup(id);
          lines.change(id, wanted, seen);
          LineSetup after = lines.setup(id);
          changes.noteAll(by, subject(before), said(before), said(after));
          record.noteAll(by, subject(before), access(before), access(after));
          return id.value();
        });
  }

  static String subject(LineSetup line) {
    return "line " + line.name().strip();
  }

  private Map<String, String> said(LineSetup line) {
    return SettingText.of(line, this::siteName, this::teamName);
  }

  /** What decides who sees what is on the line. */
  private Map<String, String> access(LineSetup line) {
    return Map.of(
        "team", teamName(line.teamId()), "narrowed", line.narrowed() ? "narrowed" : "not narrowed");
  }

  private String siteName(long id) {
    return lines.listSites().stream()
        .filter(site -> site.id() == id)
        .map(SiteView::name)
        .findFirst()
        .orElse("");
  }

  private String teamName(long id) {
    return teams.list().stream()
        .filter(team -> team.id() == id)
        .map(TeamView::name)
        .findFirst()
        .orElse("");
  }

  /** Adds a site. */
  public Outcome addSite(String name, StaffId by) {
    return all.carryOut(
        by,
        () -> {
          SiteView site = lines.addSite(name);
          changes.note(by, "site " + site.name(), "added", null, null);
          return site.id();
        });
  }

  /** Gives a site another name. */
  public Outcome renameSite(long id, String name, StaffId by) {
    return all.carryOut(
        by,
        () -> {
          String before = siteName(id);
          lines.renameSite(id, name);
          changes.noteAll(
              by, "site " + before, Map.of("name", before), Map.of("name", name.strip()));
          return id;
        });
  }
}
