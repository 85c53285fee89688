package fabulum.server.accounts;

import fabulum.server.access.AccessRecord;
import fabulum.server.access.StaffId;
import fabulum.server.accounts.SignInView.Outcome;
import fabulum.server.accounts.store.AccountMapper;
import fabulum.server.accounts.store.AccountRow;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Signing in, and changing a password. */
@Service
public class Accounts {
  private final AccountMapper accounts;
  private final Passwords passwords;
  private final LoginThrottle throttle;
  private final SignIns signIns;
  private final AccessRecord record;

  Accounts(
      AccountMapper accounts,
      Passwords passwords,
      LoginThrottle throttle,
      SignIns signIns,
      AccessRecord record) {
    this.accounts = accounts;
    this.passwords = passwords;
    this.throttle = throttle;
    this.signIns = signIns;
    this.record = record;
  }

  /**
   * Checks a name and a password. Failures slow down the place they come from; every attempt is
   * counted in the record.
   */
  @Transactional
  public SignIn signIn(String name, String password, SignIns.From from) {
    String account = normalised(name);
    Optional<AccountRow> found = accounts.findByName(account);
    StaffId id = found.map(row -> new StaffId(row.id())).orElse(null);
    Duration wait = throttle.waitFor(account, from);
    if (!wait.isZero()) {
      signIns.refused(id, account, from, Outcome.SLOWED);
      return new SignIn.SlowDown(wait);
    }
    boolean fits = passwords.fits(password, found.map(AccountRow::passwordHash).orElse(""));
    if (found.isEmpty() || !fits || !found.get().isActive()) {
      throttle.failed(account, from);
      signIns.refused(id, account, from, Outcome.WRONG);
      return new SignIn.Wrong();
    }
    throttle.succeeded(account, from);
    AccountRow row = found.get();
    return new SignIn.Welcome(begin(row, from, row.mustChangePassword()));
  }

  private SignedIn begin(AccountRow row, SignIns.From from, boolean mustChangePassword) {
    StaffId id = new StaffId(row.id());
    return new SignedIn(row.id(), signIns.begin(id, row.signInName(), from), mustChangePassword);
  }

  /**
   * Replaces a password, and ends all other sign-ins. The old one must be known; guessing it slows
   * down as guessing at the sign-in does.
   */
  @Transactional
  public void changePassword(SignedIn me, String old, String wanted, SignIns.From from) {
    AccountRow row = row(me.id());
    Duration wait = throttle.waitFor(row.signInName(), from);
    if (!wait.isZero()) {
      throw Problem.conflict(
          Problem.Kind.TOO_MANY_TRIES,
          "Too many wrong passwords. Try again in " + (wait.toSeconds() + 1) + " s.");
    }
    List<FieldProblem> bad = new ArrayList<>();
    if (passwords.fits(old, row.passwordHash())) {
      throttle.succeeded(row.signInName(), from);
    } else {
      throttle.failed(row.signInName(), from);
      bad.add(new FieldProblem("old", "This is not your current password."));
    }
    for (String objection : passwords.objections(wanted, row.signInName())) {
      bad.add(new FieldProblem("wanted", objection));
    }
    if (old.equals(wanted)) {
      bad.add(new FieldProblem("wanted", "Choose a different password."));
    }
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
    accounts.setPassword(row.id(), passwords.encode(wanted));
    record.note(me.id(), row.fullName(), "password changed", null, null);
    signIns.endAllBut(me.id(), me.signInId());
  }

  private AccountRow row(StaffId id) {
    return accounts.find(id.value()).orElseThrow(() -> Problem.notFound("member of staff"));
  }

  /** Signs someone in who has just proved who they are in another way. */
  public SignedIn welcome(StaffId id, SignIns.From from) {
    return begin(row(id), from, false);
  }

  /** Whether someone signs in with a name, or did. */
  public boolean isTaken(String signInName) {
    return accounts.findByName(signInName).isPresent();
  }

  /** Gives someone a password, without asking for the old one. */
  public void setPassword(StaffId id, String wanted) {
    accounts.setPassword(id.value(), passwords.encode(wanted));
  }

  /** A name to sign in with, as it is kept: without surrounding space, in small letters. */
  public static String normalised(String name) {
    return name.strip().toLowerCase(Locale.ROOT);
  }
}
