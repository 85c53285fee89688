package fabulum.server.people;

import fabulum.core.access.Act;
import fabulum.core.access.Permission;
import fabulum.core.access.Role;
import fabulum.server.access.AccessRecord;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.accounts.AccountState;
import fabulum.server.accounts.SignIns;
import fabulum.server.people.store.StaffMapper;
import fabulum.server.people.store.StaffRow;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/**
 * What leads decide of people and teams. Each change is in the record, and holds at once for
 * everybody.
 */
@Service
public class PeopleSetUp {
  private static final int HIGHEST_LIMIT = 999;

  private final StaffMapper staff;
  private final Teams teams;
  private final Permits permits;
  private final SignIns signIns;
  private final AccessRecord record;
  private final PeopleChanges changes;

  PeopleSetUp(
      StaffMapper staff,
      Teams teams,
      Permits permits,
      SignIns signIns,
      AccessRecord record,
      PeopleChanges changes) {
    this.staff = staff;
    this.teams = teams;
    this.permits = permits;
    this.signIns = signIns;
    this.record = record;
    this.changes = changes;
  }

  /** Changes what someone may. The last lead stays one. */
  public void change(StaffId id, PersonSetup wanted, StaffId by) {
    permits.require(by, Act.LEAD);
    changes.carryOut(id, () -> set(id, wanted, by));
  }

  /** The same within a change that is being carried out. */
  void set(StaffId id, PersonSetup wanted, StaffId by) {
    List<Long> leads = staff.lockLeads();
    StaffRow row = row(id);
    PersonSetup complete = wanted.completed(row.secondLook());
    requirePossible(complete);
    if (row.role() == Role.LEAD && wanted.role() != Role.LEAD) {
      requireAnotherLead(row, leads);
    }
    Map<String, String> before = said(id);
    staff.setRole(row.id(), wanted.role());
    staff.setLimit(row.id(), wanted.limit());
    staff.setSecondLook(row.id(), complete.needsSecondLook());
    staff.deletePermissions(row.id());
    wanted.permissions().forEach(given -> staff.insertPermission(row.id(), given));
    teams.setTeams(id, wanted.teams());
    record.noteAll(by, row.fullName(), before, said(id));
  }

  private StaffRow row(StaffId id) {
    return staff.find(id.value()).orElseThrow(() -> Problem.notFound("member of staff"));
  }

  /** Refuses a set-up that cannot be, with every reason. */
  void requirePossible(PersonSetup wanted) {
    List<FieldProblem> bad = new ArrayList<>();
    wanted.permissions().stream()
        .filter(given -> !given.suits(wanted.role()))
        .sorted()
        .forEach(given ->
            bad.add(
                new FieldProblem(
                    "permissions", "A viewer only reads, so may not " + given.words() + ".")));
    Integer limit = wanted.limit();
    if (limit != null && (limit < 1 || limit > HIGHEST_LIMIT)) {
      bad.add(new FieldProblem("limit", "A limit lies between 1 and 999."));
    }
    if (wanted.needsSecondLook() && wanted.role() != Role.STAFF) {
      bad.add(new FieldProblem("secondLook", "Only texts of staff can wait for a second look."));
    } else if (wanted.needsSecondLook() && wanted.permissions().contains(Permission.SEND_TO_MANY)) {
      bad.add(
          new FieldProblem(
              "secondLook",
              "While their texts wait for a second look, they cannot text many customers at once."));
    }
    Set<Long> known = teams.list().stream().map(TeamView::id).collect(Collectors.toSet());
    if (!known.containsAll(wanted.teams())) {
      bad.add(new FieldProblem("teams", "This team does not exist."));
    }
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
  }

  private void requireAnotherLead(StaffRow row, List<Long> leads) {
    if (row.isActive() && leads.size() == 1 && leads.contains(row.id())) {
      throw Problem.conflict(
          Kind.LAST_LEAD,
          row.fullName()
              + " is the only lead. Make someone else a lead first. Nothing was changed.");
    }
  }

  private Map<String, String> said(StaffId id) {
    StaffRow row = row(id);
    Map<String, String> said = new LinkedHashMap<>();
    said.put("role", row.role().name().toLowerCase(Locale.ROOT));
    said.put(
        "permissions",
        permits.given().getOrDefault(row.id(), Set.of()).stream()
            .map(Permission::words)
            .sorted()
            .collect(Collectors.joining(", ")));
    teams.forget();
    said.put(
        "teams",
        teams.list().stream()
            .filter(team -> team.members().contains(row.id()))
            .map(TeamView::name)
            .collect(Collectors.joining(", ")));
    said.put("limit", row.workLimit() == null ? "none" : String.valueOf(row.workLimit()));
    said.put("second look", row.secondLook() ? "yes" : "no");
    return said;
  }

  /** Refuses to let someone go who cannot be spared: the last lead. */
  public void requireNotLastLead(StaffId id) {
    requireAnotherLead(row(id), staff.lockLeads());
  }

  /** Lets the first lead see everything. */
  void letSeeAllLines(StaffId lead) {
    staff.insertPermission(lead.value(), Permission.SEE_ALL_LINES);
    permits.forget();
  }

  /**
   * Switches someone off: they are signed out everywhere at once. What they own must have gone
   * elsewhere before.
   */
  public void switchOff(StaffId id, StaffId by) {
    permits.require(by, Act.LEAD);
    changes.carryOut(
        id,
        () -> {
          List<Long> leads = staff.lockLeads();
          StaffRow row = row(id);
          requireAnotherLead(row, leads);
          if (row.standing() != AccountState.OFF) {
            staff.setStanding(row.id(), AccountState.OFF);
            record.note(by, row.fullName(), "switched off", null, null);
          }
        });
    signIns.endAllBut(id, 0);
  }

  /** Lets someone in again. */
  public void switchOn(StaffId id, StaffId by) {
    permits.require(by, Act.LEAD);
    changes.carryOut(
        id,
        () -> {
          StaffRow row = row(id);
          if (row.standing() == AccountState.OFF) {
            boolean came = !row.passwordHash().isEmpty();
            staff.setStanding(row.id(), came ? AccountState.ACTIVE : AccountState.INVITED);
            record.note(by, row.fullName(), "switched on", null, null);
          }
        });
  }

  /** Adds a team. It has nobody yet, and no line. */
  public TeamId addTeam(String name, StaffId by) {
    permits.require(by, Act.LEAD);
    return changes.carryOut(
        () -> {
          TeamId id = teams.add(name);
          record.note(by, "team " + name.strip(), "added", null, null);
          return id;
        },
        added -> Set.of());
  }

  /** Gives a team another name. */
  public void renameTeam(TeamId id, String name, StaffId by) {
    permits.require(by, Act.LEAD);
    changes.carryOutForAll(() -> {
      String before = teams.get(id).name();
      teams.rename(id, name);
      record.note(by, "team " + before, "name", before, name.strip());
    });
  }
}
