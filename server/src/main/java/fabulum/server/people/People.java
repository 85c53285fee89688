package fabulum.server.people;

import fabulum.core.access.Permission;
import fabulum.core.text.OneLine;
import fabulum.server.people.SignInView.Outcome;
import fabulum.server.people.store.StaffMapper;
import fabulum.server.people.store.StaffRow;
import fabulum.server.platform.BriefMemory;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The staff: who they are, and how they come in. */
@Service
public class People {
  private final StaffMapper staff;
  private final Passwords passwords;
  private final GuessLog guesses;
  private final SignIns signIns;
  private final AccessRecord record;
  private final Permits permits;
  private final ApplicationEventPublisher events;
  private final BriefMemory<List<StaffView>> everybody;

  People(
      StaffMapper staff,
      Passwords passwords,
      GuessLog guesses,
      SignIns signIns,
      AccessRecord record,
      Permits permits,
      ApplicationEventPublisher events) {
    this.staff = staff;
    this.passwords = passwords;
    this.guesses = guesses;
    this.signIns = signIns;
    this.record = record;
    this.permits = permits;
    this.events = events;
    this.everybody = new BriefMemory<>(() -> staff.list().stream().map(People::view).toList());
  }

  /**
   * Checks a name and a password. Failures slow down the place they come from; every attempt is
   * counted in the record.
   */
  @Transactional
  public SignIn signIn(String name, String password, SignIns.From from) {
    String account = normalised(name);
    Optional<StaffRow> found = staff.findByName(account);
    StaffId id = found.map(row -> new StaffId(row.id())).orElse(null);
    Duration wait = guesses.waitFor(account, from);
    if (!wait.isZero()) {
      signIns.refused(id, account, from, Outcome.SLOWED);
      return new SignIn.SlowDown(wait);
    }
    boolean fits = passwords.fits(password, found.map(StaffRow::passwordHash).orElse(""));
    if (found.isEmpty() || !fits || !found.get().isActive()) {
      guesses.failed(account, from);
      signIns.refused(id, account, from, Outcome.WRONG);
      return new SignIn.Wrong();
    }
    guesses.succeeded(account, from);
    StaffRow row = found.get();
    return new SignIn.Welcome(begin(row, from, row.mustChangePassword()));
  }

  private SignedIn begin(StaffRow row, SignIns.From from, boolean mustChangePassword) {
    StaffId id = new StaffId(row.id());
    return new SignedIn(row.id(), signIns.begin(id, row.signInName(), from), mustChangePassword);
  }

  /**
   * Replaces a password, and ends all other sign-ins. The old one must be known; guessing it slows
   * down as guessing at the sign-in does.
   */
  @Transactional
  public void changePassword(SignedIn me, String old, String wanted, SignIns.From from) {
    StaffRow row = row(me.id());
    Duration wait = guesses.waitFor(row.signInName(), from);
    if (!wait.isZero()) {
      throw Problem.conflict(
          Problem.Kind.TOO_MANY_TRIES,
          "Too many wrong passwords. Try again in " + (wait.toSeconds() + 1) + " s.");
    }
    List<FieldProblem> bad = new ArrayList<>();
    if (passwords.fits(old, row.passwordHash())) {
      guesses.succeeded(row.signInName(), from);
    } else {
      guesses.failed(row.signInName(), from);
      bad.add(new FieldProblem("old", "This is not your present password."));
    }
    for (String objection : passwords.objections(wanted, row.signInName())) {
      bad.add(new FieldProblem("wanted", objection));
    }
    if (old.equals(wanted)) {
      bad.add(new FieldProblem("wanted", "Choose another one than now."));
    }
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
    staff.setPassword(row.id(), passwords.encode(wanted));
    record.note(me.id(), row.fullName(), "password changed", null, null);
    signIns.endAllBut(me.id(), me.signInId());
  }

  private StaffRow row(StaffId id) {
    return staff.find(id.value()).orElseThrow(() -> Problem.notFound("member of staff"));
  }

  /** How somebody is called and marked. */
  public record Profile(String name, String initials, Mark mark) {}

  /** Sets how one is called and marked oneself. */
  @Transactional
  public void setProfile(StaffId me, Profile wanted) {
    List<FieldProblem> bad = objections(wanted);
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
    String before = row(me).fullName();
    String name = wanted.name().strip();
    staff.setProfile(me.value(), name, wanted.initials().strip(), wanted.mark());
    if (!before.equals(name)) {
      record.note(me, before, "name", before, name);
    }
    forget();
    events.publishEvent(new ColleaguesChanged());
  }

  /** Whether single letters are keys for somebody. */
  public boolean hasLetterKeys(StaffId id) {
    return row(id).letterKeys();
  }

  /** Sets whether single letters are keys for oneself (WCAG 2.1.4). */
  @Transactional
  public void setLetterKeys(StaffId me, boolean on) {
    staff.setLetterKeys(me.value(), on);
  }

  static List<FieldProblem> objections(Profile wanted) {
    List<FieldProblem> bad = new ArrayList<>();
    String name = wanted.name().strip();
    String initials = wanted.initials().strip();
    if (name.isEmpty() || name.length() > 120) {
      bad.add(new FieldProblem("name", "A name has 1 to 120 characters."));
    }
    if (initials.isEmpty() || initials.length() > 3) {
      bad.add(new FieldProblem("initials", "Initials are 1 to 3 characters."));
    }
    OneLine.objection(name).ifPresent(why -> bad.add(new FieldProblem("name", why)));
    OneLine.objection(initials).ifPresent(why -> bad.add(new FieldProblem("initials", why)));
    return bad;
  }

  /** Takes somebody on who can sign in at once, with what is usual in their role. */
  @Transactional
  public StaffId add(NewStaff wanted) {
    long id =
        staff.insert(
            normalised(wanted.signInName()),
            wanted.name(),
            wanted.initials(),
            wanted.role(),
            passwords.encode(wanted.password()),
            wanted.mustChangePassword(),
            AccountState.ACTIVE,
            null);
    staff.setProfile(id, wanted.name(), wanted.initials(), Mark.nth(id));
    Permission.usual(wanted.role()).forEach(given -> staff.insertPermission(id, given));
    record.note(null, wanted.name(), "added", null, wanted.role().name().toLowerCase(Locale.ROOT));
    forget();
    return new StaffId(id);
  }

  /** Keeps when somebody answered last. */
  public void answered(StaffId id, Instant at) {
    staff.setLastAnswer(id.value(), at);
  }

  /** Everybody, by name, also those who have left; a front office is small. */
  public List<StaffView> list() {
    return everybody.get();
  }

  /** Everybody, by id. */
  public Map<Long, StaffView> byId() {
    return list().stream().collect(Collectors.toMap(StaffView::id, Function.identity()));
  }

  /** Somebody. */
  public StaffView get(StaffId id) {
    return view(row(id));
  }

  /** When each person answered last; who never did is left out. */
  public Map<Long, Instant> lastAnswers() {
    Map<Long, Instant> answers = new HashMap<>();
    for (StaffRow row : staff.list()) {
      if (row.lastAnswerAt() != null) {
        answers.put(row.id(), row.lastAnswerAt());
      }
    }
    return answers;
  }

  /** Where somebody gets mail; empty while no address of theirs is known. */
  public Optional<String> findEmail(StaffId id) {
    return Optional.ofNullable(row(id).email());
  }

  /** Whether there is anybody yet. */
  public boolean isEmpty() {
    return staff.list().isEmpty();
  }

  /** Reads people anew the next time. */
  public void forget() {
    everybody.forget();
    permits.forget();
  }

  SignedIn welcome(StaffId id, SignIns.From from) {
    return begin(row(id), from, false);
  }

  static StaffView view(StaffRow row) {
    return new StaffView(
        row.id(),
        row.fullName(),
        row.initials(),
        row.role(),
        new Mark(row.shape(), row.ink()),
        row.isActive());
  }

  static String normalised(String name) {
    return name.strip().toLowerCase(Locale.ROOT);
  }
}
