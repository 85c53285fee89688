package fabulum.server.people;

import fabulum.core.access.Act;
import fabulum.core.text.OneLine;
import fabulum.server.access.AccessRecord;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.accounts.AccountState;
import fabulum.server.accounts.Accounts;
import fabulum.server.accounts.Passwords;
import fabulum.server.accounts.SignIns;
import fabulum.server.accounts.SignedIn;
import fabulum.server.mail.Mail;
import fabulum.server.people.store.InvitationMapper;
import fabulum.server.people.store.InvitationRow;
import fabulum.server.people.store.StaffMapper;
import fabulum.server.people.store.StaffRow;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Asking people in by mail, with a link that works once and ends after three days. */
@Service
public class Invitations {
  /** How long a link works. */
  public static final Duration LASTS = Duration.ofDays(3);

  private static final Pattern ADDRESS =
      Pattern.compile("[^\\s@<>\",;]{1,64}@[^\\s@<>\",;]+\\.[^\\s@<>\",;]+");
  private static final int LONGEST_ADDRESS = 60;
  private static final int SECRET_OCTETS = 32;

  private final StaffMapper staff;
  private final InvitationMapper invitations;
  private final PeopleSetUp setUp;
  private final People people;
  private final Permits permits;
  private final Passwords passwords;
  private final Accounts accounts;
  private final AccessRecord record;
  private final Mail mail;
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();

  Invitations(
      StaffMapper staff,
      InvitationMapper invitations,
      PeopleSetUp setUp,
      People people,
      Permits permits,
      Passwords passwords,
      Accounts accounts,
      AccessRecord record,
      Mail mail,
      Clock clock) {
    this.staff = staff;
    this.invitations = invitations;
    this.setUp = setUp;
    this.people = people;
    this.permits = permits;
    this.passwords = passwords;
    this.accounts = accounts;
    this.record = record;
    this.mail = mail;
    this.clock = clock;
  }

  /**
   * Somebody to be asked in.
   *
   * @param email where the link goes; they sign in with it too
   */
  public record Invite(String name, String email, PersonSetup setup) {}

  /**
   * Somebody who was asked in.
   *
   * @param link for them, where there is no mail server to bring it; null when it was mailed
   */
  public record Invited(StaffId id, @Nullable String link) {}

  /**
   * Asks somebody in.
   *
   * @param page where the application is found
   */
  public Invited invite(Invite wanted, StaffId by, String page) {
    permits.require(by, Act.LEAD);
    String email = Accounts.normalised(wanted.email());
    requirePossible(wanted, email);
    return setUp.carryOut(() -> {
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
      setUp.change(invited, wanted.setup(), by);
      return new Invited(invited, send(row(invited), by, page));
    });
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
    return setUp.carryOut(() -> {
      StaffRow row = row(id);
      if (row.standing() != AccountState.INVITED) {
        throw Problem.conflict(
            Kind.ENDED, row.fullName() + " has already joined. Nothing was sent.");
      }
      record.note(by, row.fullName(), "invited again", null, row.email());
      return new Invited(id, send(row, by, page));
    });
  }

  private StaffRow row(StaffId id) {
    return staff.find(id.value()).orElseThrow(() -> Problem.notFound("member of staff"));
  }

  private @Nullable String send(StaffRow row, StaffId by, String page) {
    byte[] octets = new byte[SECRET_OCTETS];
    random.nextBytes(octets);
    String secret = Base64.getUrlEncoder().withoutPadding().encodeToString(octets);
    Instant now = clock.instant();
    invitations.endAllOf(row.id(), now);
    invitations.insert(row.id(), hash(secret), by.value(), now, now.plus(LASTS));
    String link = page + "/invitation/" + secret;
    String words =
        """
        Hello %s,

        %s asks you to join the front office on Fabulum. Follow this link to choose your password:

        %s

        The link works once, and for three days.
        """
            .formatted(row.fullName(), people.get(by).name(), link);
    mail.send(
        String.valueOf(row.email()), "Join the front office", words, "invitation-" + hash(secret));
    return mail.isSetUp() ? null : link;
  }

  private static String hash(String secret) {
    try {
      byte[] digest =
          MessageDigest.getInstance("SHA-256").digest(secret.getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(digest);
    } catch (NoSuchAlgorithmException missing) {
      throw new IllegalStateException(missing);
    }
  }

  /** Whom a link is for. Refuses one that does not work any more, and says so. */
  public StaffView whom(String secret) {
    return people.get(new StaffId(standing(secret).staffId()));
  }

  private InvitationRow standing(String secret) {
    InvitationRow row =
        invitations.find(hash(secret)).orElseThrow(() -> Problem.notFound("invitation"));
    if (row.usedAt() != null) {
      throw Problem.conflict(
          Kind.ENDED, "This link was used already. Sign in, or ask a lead for a new one.");
    }
    if (!clock.instant().isBefore(row.endsAt())) {
      throw Problem.conflict(Kind.ENDED, "This link has expired. Ask a lead for a new one.");
    }
    return row;
  }

  /** What somebody who follows a link chooses. */
  public record Accept(People.Profile profile, String password) {}

  /** Comes in by a link; it is used up then. */
  @Transactional
  public SignedIn accept(String secret, Accept wanted, SignIns.From from) {
    InvitationRow invitation = standing(secret);
    StaffRow row = row(new StaffId(invitation.staffId()));
    List<FieldProblem> bad = new ArrayList<>(People.objections(wanted.profile()));
    passwords
        .objections(wanted.password(), row.signInName())
        .forEach(why -> bad.add(new FieldProblem("password", why)));
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
    if (row.standing() != AccountState.INVITED
        || invitations.use(invitation.id(), clock.instant()) == 0) {
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
