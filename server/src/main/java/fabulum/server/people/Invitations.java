package fabulum.server.people;

import fabulum.core.access.Act;
import fabulum.core.text.OneLine;
import fabulum.server.access.AccessRecord;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.accounts.AccountState;
import fabulum.server.accounts.Accounts;
import fabulum.server.people.store.StaffMapper;
import fabulum.server.people.store.StaffRow;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Inviting colleagues by mail. */
@Service
public class Invitations {
  private static final Pattern ADDRESS =
      Pattern.compile("[^\\s@<>\",;]{1,64}@[^\\s@<>\",;]+\\.[^\\s@<>\",;]+");
  private static final int LONGEST_ADDRESS = 60;

  private final StaffMapper staff;
  private final InvitationLinks links;
  private final PeopleSetUp setUp;
  private final PeopleChanges changes;
  private final Permits permits;
  private final Accounts accounts;
  private final AccessRecord record;

  Invitations(
      StaffMapper staff,
      InvitationLinks links,
      PeopleSetUp setUp,
      PeopleChanges changes,
      Permits permits,
      Accounts accounts,
      AccessRecord record) {
    this.staff = staff;
    this.links = links;
    this.setUp = setUp;
    this.changes = changes;
    this.permits = permits;
    this.accounts = accounts;
    this.record = record;
  }

  /**
   * Someone to be invited.
   *
   * @param email where the link goes; they sign in with it too
   */
  public record Invite(String name, String email, PersonSetup setup) {}

  /**
   * A person who was invited.
   *
   * @param link for them, where there is no mail server to bring it; null when it was mailed
   */
  public record Invited(StaffId id, @Nullable String link) {}

  /**
   * Invites someone.
   *
   * @param page where the application is found
   */
  public Invited invite(Invite wanted, StaffId by, String page) {
    permits.require(by, Act.LEAD);
    String email = Accounts.normalised(wanted.email());
    requirePossible(wanted, email);
    return changes.carryOut(
        () -> {
          String name = wanted.name().strip();
          long id =
              staff.insert(
                  email,
                  name,
                  initials(name),
                  wanted.setup().role(),
                  "",
                  false,
                  AccountState.INVITED,
                  email);
          staff.setProfile(id, name, initials(name), Mark.nth(id));
          String what = wanted.setup().role().name().toLowerCase(Locale.ROOT) + ", " + email;
          record.note(by, name, "invited", null, what);
          StaffId invited = new StaffId(id);
          setUp.set(invited, wanted.setup(), by);
          return new Invited(invited, links.send(row(invited), by, page));
        },
        Invitations::whose);
  }

  private void requirePossible(Invite wanted, String email) {
    List<FieldProblem> bad = new ArrayList<>();
    if (wanted.name().isBlank() || wanted.name().strip().length() > 120) {
      bad.add(new FieldProblem("name", "A name has 1 to 120 characters."));
    }
    OneLine.objection(wanted.name().strip())
        .ifPresent(why -> bad.add(new FieldProblem("name", why)));
    if (email.length() > LONGEST_ADDRESS || !ADDRESS.matcher(email).matches()) {
      bad.add(new FieldProblem("email", "Not a valid e-mail address."));
    } else if (accounts.isTaken(email)) {
      bad.add(new FieldProblem("email", "A colleague already has this address."));
    }
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
    setUp.requirePossible(wanted.setup());
  }

  private static String initials(String name) {
    StringBuilder initials = new StringBuilder();
    for (String part : name.split("[\\s-]+")) {
      if (initials.length() < 2 && !part.isEmpty()) {
        initials.appendCodePoint(Character.toUpperCase(part.codePointAt(0)));
      }
    }
    return initials.toString();
  }

  /** Sends a new link; the old one ends. */
  public Invited again(StaffId id, StaffId by, String page) {
    permits.require(by, Act.LEAD);
    return changes.carryOut(
        () -> {
          StaffRow row = row(id);
          if (row.standing() != AccountState.INVITED) {
            throw Problem.conflict(
                Kind.ENDED, row.fullName() + " has already joined. Nothing was sent.");
          }
          record.note(by, row.fullName(), "invited again", null, row.email());
          return new Invited(id, links.send(row, by, page));
        },
        Invitations::whose);
  }

  private static Set<StaffId> whose(Invited invited) {
    return Set.of(invited.id());
  }

  private StaffRow row(StaffId id) {
    return staff.find(id.value()).orElseThrow(() -> Problem.notFound("member of staff"));
  }
}
