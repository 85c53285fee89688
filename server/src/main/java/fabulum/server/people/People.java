package fabulum.server.people;

import fabulum.core.access.PasswordRules;
import fabulum.server.people.store.StaffMapper;
import fabulum.server.people.store.StaffRow;
import fabulum.server.platform.BriefMemory;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The staff. */
@Service
public class People {
  private final StaffMapper staff;
  private final PasswordEncoder passwords;
  private final GuessLog guesses;
  private final String nobodysHash;
  private final BriefMemory<List<StaffView>> everybody;

  People(StaffMapper staff, PasswordEncoder passwords, GuessLog guesses) {
    this.staff = staff;
    this.passwords = passwords;
    this.guesses = guesses;
    this.nobodysHash = passwords.encode("nobody has this password");
    this.everybody = new BriefMemory<>(() -> staff.list().stream().map(People::view).toList());
  }

  /**
   * Checks a name and a password.
   *
   * @param address where the attempt comes from; failures are counted by account and by address
   */
  public SignIn signIn(String name, String password, String address) {
    String account = normalised(name);
    Duration wait = guesses.waitFor(account, address);
    if (!wait.isZero()) {
      return new SignIn.SlowDown(wait);
    }
    Optional<StaffRow> found = staff.findByName(account);
    // A hash is compared also when there is no such account, so that the time taken does not tell.
    boolean fits =
        passwords.matches(password, found.map(StaffRow::passwordHash).orElse(nobodysHash));
    if (found.isEmpty() || !fits) {
      guesses.failed(account, address);
      return new SignIn.Wrong();
    }
    guesses.succeeded(account);
    return new SignIn.Welcome(view(found.get()), found.get().mustChangePassword());
  }

  /** Replaces a password. The old one must be known, and the new one must do. */
  @Transactional
  public void changePassword(StaffId id, String old, String wanted) {
    StaffRow row = staff.find(id.value()).orElseThrow(() -> Problem.notFound("member of staff"));
    List<FieldProblem> bad = new ArrayList<>();
    if (!passwords.matches(old, row.passwordHash())) {
      bad.add(new FieldProblem("old", "This is not your present password."));
    }
    for (String objection : PasswordRules.objections(wanted, row.signInName())) {
      bad.add(new FieldProblem("wanted", objection));
    }
    if (old.equals(wanted)) {
      bad.add(new FieldProblem("wanted", "Choose another one than now."));
    }
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
    staff.setPassword(id.value(), passwords.encode(wanted));
  }

  /** Takes somebody on. */
  @Transactional
  public StaffId add(NewStaff wanted) {
    return new StaffId(
        staff.insert(
            normalised(wanted.signInName()),
            wanted.name(),
            wanted.initials(),
            wanted.role(),
            passwords.encode(wanted.password()),
            wanted.mustChangePassword()));
  }

  /** Everybody, by name; a front office is small. Somebody new is in it a second later at most. */
  public List<StaffView> list() {
    return everybody.get();
  }

  /** Whether there is anybody yet. */
  public boolean isEmpty() {
    return staff.list().isEmpty();
  }

  private static StaffView view(StaffRow row) {
    return new StaffView(row.id(), row.fullName(), row.initials(), row.role());
  }

  private static String normalised(String name) {
    return name.strip().toLowerCase(Locale.ROOT);
  }
}
