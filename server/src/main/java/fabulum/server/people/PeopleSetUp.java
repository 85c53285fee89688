package fabulum.server.people;

import fabulum.core.access.Act;
import fabulum.core.access.Permission;
import fabulum.core.access.Role;
import fabulum.core.attendance.Presence;
import fabulum.server.access.AccessRecord;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.accounts.AccountState;
import fabulum.server.accounts.SignIns;
import fabulum.server.feed.Change;
import fabulum.server.feed.ChangeFeed;
import fabulum.server.feed.ChangeFound;
import fabulum.server.people.store.InvitationMapper;
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
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What leads decide of people and teams. Each change is in the record, and holds at once for
 * everybody.
 */
@Service
public class PeopleSetUp {
  private static final int HIGHEST_LIMIT = 999;

  private final StaffMapper staff;
  private final InvitationMapper invitations;
  private final People people;
  private final Teams teams;
  private final Permits permits;
  private final Attendances attendances;
  private final SignIns signIns;
  private final AccessRecord record;
  private final TransactionTemplate transactions;
  private final ChangeFeed feed;
  private final ApplicationEventPublisher events;

  PeopleSetUp(
      StaffMapper staff,
      InvitationMapper invitations,
      People people,
      Teams teams,
      Permits permits,
      Attendances attendances,
      SignIns signIns,
      AccessRecord record,
      TransactionTemplate transactions,
      ChangeFeed feed,
      ApplicationEventPublisher events) {
    this.staff = staff;
    this.invitations = invitations;
    this.people = people;
    this.teams = teams;
    this.permits = permits;
    this.attendances = attendances;
    this.signIns = signIns;
    this.record = record;
    this.transactions = transactions;
    this.feed = feed;
    this.events = events;
  }

  /** Everybody, also who is invited or has left, by name. */
  public List<PersonView> list(StaffId asking) {
    permits.require(asking, Act.LEAD);
    Map<Long, Set<Permission>> given = permits.given();
    return staff.list().stream()
        .map(row -> view(row, given.getOrDefault(row.id(), Set.of())))
        .toList();
  }

  private PersonView view(StaffRow row, Set<Permission> given) {
    StaffId id = new StaffId(row.id());
    Presence presence = attendances.presence(id);
    return new PersonView(
        People.view(row),
        row.standing(),
        row.email(),
        given.stream().sorted().toList(),
        teams.of(id).stream().sorted().toList(),
        row.workLimit(),
        row.standing() == AccountState.INVITED ? invitations.findEnd(row.id()).orElse(null) : null,
        presence.in(),
        presence.why(),
        presence.until().orElse(null));
  }

  /** Changes what somebody may. The last lead stays one. */
  public void change(StaffId id, PersonSetup wanted, StaffId by) {
    permits.require(by, Act.LEAD);
    carryOut(() -> {
      List<Long> leads = staff.lockLeads();
      StaffRow row = row(id);
      requirePossible(wanted);
      if (row.role() == Role.LEAD && wanted.role() != Role.LEAD) {
        requireAnotherLead(row, leads);
      }
      Map<String, String> before = said(id);
      staff.setRole(row.id(), wanted.role());
      staff.setLimit(row.id(), wanted.limit());
      staff.deletePermissions(row.id());
      wanted.permissions().forEach(given -> staff.insertPermission(row.id(), given));
      teams.setTeams(id, wanted.teams());
      record.noteAll(by, row.fullName(), before, said(id));
    });
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
    return said;
  }

  /** Refuses to let somebody go who cannot be spared: the last lead. */
  public void requireNotLastLead(StaffId id) {
    requireAnotherLead(row(id), staff.lockLeads());
  }

  /** Lets the first lead see everything. */
  void letSeeAllLines(StaffId lead) {
    transactions.executeWithoutResult(
        status -> staff.insertPermission(lead.value(), Permission.SEE_ALL_LINES));
    people.forget();
  }

  /**
   * Switches somebody off: they are signed out everywhere at once. What they own must have gone
   * elsewhere before.
   */
  public void switchOff(StaffId id, StaffId by) {
    permits.require(by, Act.LEAD);
    carryOut(() -> {
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

  /** Lets somebody in again. */
  public void switchOn(StaffId id, StaffId by) {
    permits.require(by, Act.LEAD);
    carryOut(() -> {
      StaffRow row = row(id);
      if (row.standing() == AccountState.OFF) {
        boolean came = !row.passwordHash().isEmpty();
        staff.setStanding(row.id(), came ? AccountState.ACTIVE : AccountState.INVITED);
        record.note(by, row.fullName(), "switched on", null, null);
      }
    });
  }

  /** Adds a team. */
  public TeamId addTeam(String name, StaffId by) {
    permits.require(by, Act.LEAD);
    return carryOut(() -> {
      TeamId id = teams.add(name);
      record.note(by, "team " + name.strip(), "added", null, null);
      return id;
    });
  }

  /** Gives a team another name. */
  public void renameTeam(TeamId id, String name, StaffId by) {
    permits.require(by, Act.LEAD);
    carryOut(() -> {
      String before = teams.get(id).name();
      teams.rename(id, name);
      record.note(by, "team " + before, "name", before, name.strip());
    });
  }

  private void carryOut(Runnable change) {
    carryOut(() -> {
      change.run();
      return true;
    });
  }

  <T> T carryOut(java.util.function.Supplier<T> change) {
    T done =
        transactions.execute(status -> {
          T changed = change.get();
          feed.append(Change.Kind.PEOPLE, 0, 0, null);
          return changed;
        });
    changed();
    return done;
  }

  private void changed() {
    people.forget();
    teams.forget();
    attendances.forget();
    events.publishEvent(new PeopleChanged());
  }

  @EventListener
  void found(ChangeFound found) {
    if (found.change().kind() == Change.Kind.PEOPLE) {
      changed();
    }
  }
}
