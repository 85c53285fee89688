package fabulum.server.people;

import fabulum.server.access.AccessRecord;
import fabulum.server.access.StaffId;
import fabulum.server.accounts.AccountState;
import fabulum.server.accounts.Accounts;
import fabulum.server.accounts.Passwords;
import fabulum.server.accounts.SignIns;
import fabulum.server.accounts.SignedIn;
import fabulum.server.people.store.InvitationRow;
import fabulum.server.people.store.StaffMapper;
import fabulum.server.people.store.StaffRow;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Joining by the link of an invitation. */
@Service
public class Joining {
  private final StaffMapper staff;
  private final InvitationLinks links;
  private final People people;
  private final Passwords passwords;
  private final Accounts accounts;
  private final AccessRecord record;

  Joining(
      StaffMapper staff,
      InvitationLinks links,
      People people,
      Passwords passwords,
      Accounts accounts,
      AccessRecord record) {
    this.staff = staff;
    this.links = links;
    this.people = people;
    this.passwords = passwords;
    this.accounts = accounts;
    this.record = record;
  }

  /** Whom a link is for. Refuses one that does not work any more, and says so. */
  public StaffView whom(String secret) {
    return people.get(new StaffId(links.standing(secret).staffId()));
  }

  /** What a person who follows a link chooses. */
  public record Accept(People.Profile profile, String password) {}

  /** Comes in by a link; it is used up then. */
  @Transactional
  public SignedIn accept(String secret, Accept wanted, SignIns.From from) {
    InvitationRow invitation = links.standing(secret);
    StaffRow row =
        staff.find(invitation.staffId()).orElseThrow(() -> Problem.notFound("member of staff"));
    List<FieldProblem> bad = new ArrayList<>(People.objections(wanted.profile()));
    passwords
        .objections(wanted.password(), row.signInName())
        .forEach(why -> bad.add(new FieldProblem("password", why)));
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
    if (row.standing() != AccountState.INVITED || !links.use(invitation)) {
      throw Problem.conflict(
          Kind.ENDED, "This link was used already. Sign in, or ask a lead for a new one.");
    }
    accounts.setPassword(new StaffId(row.id()), wanted.password());
    staff.setStanding(row.id(), AccountState.ACTIVE);
    StaffId id = new StaffId(row.id());
    people.setProfile(id, wanted.profile());
    record.note(id, row.fullName(), "came in", null, null);
    return accounts.welcome(id, from);
  }
}
