package fabulum.server.people;

import fabulum.core.access.Permission;
import fabulum.core.text.OneLine;
import fabulum.server.access.AccessRecord;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.accounts.AccountState;
import fabulum.server.accounts.Accounts;
import fabulum.server.accounts.Passwords;
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

/** The staff: who they are. */
@Service
public class People {
  /** The longest that a text waits before it leaves. */
  static final Duration LONGEST_PAUSE = Duration.ofSeconds(20);

  private final StaffMapper staff;
  private final Passwords passwords;
  private final AccessRecord record;
  private final Permits permits;
  private final ApplicationEventPublisher events;
  private final PeopleSettings settings;
  private final BriefMemory<List<StaffView>> everybody;

  People(
      StaffMapper staff,
      Passwords passwords,
      AccessRecord record,
      Permits permits,
      ApplicationEventPublisher events,
      PeopleSettings settings) {
    this.staff = staff;
    this.passwords = passwords;
    this.record = record;
    this.permits = permits;
    this.events = events;
    this.settings = settings;
    this.everybody = new BriefMemory<>(() -> staff.list().stream().map(People::view).toList());
  }

  private StaffRow row(StaffId id) {
    return staff.find(id.value()).orElseThrow(() -> Problem.notFound("member of staff"));
  }

  /** How someone is called and marked. */
  public record Profile(String name, String initials, Mark mark) {}

  /** The signed-in person sets their name and mark. */
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

  /**
   * How the page is for someone.
   *
   * @param letterKeys whether single letters are keys
   * @param inbox the group, order and sentence of their inbox when they last changed it, as its
   *     address has them
   * @param stays whether they stay in a conversation that an act has moved on; else the next opens
   * @param pauseSeconds how long their texts wait before they leave, and can be taken back; 0 to 20
   * @param looksFirst whether they look at each text before it is sent
   * @param enterSends whether Enter sends a text; else it makes a new line
   * @param secondLook whether their texts wait for a colleague's yes
   */
  public record PageChoices(
      boolean letterKeys,
      String inbox,
      boolean stays,
      int pauseSeconds,
      boolean looksFirst,
      boolean enterSends,
      boolean secondLook) {}

  /** How the page is for someone. */
  public PageChoices pageChoices(StaffId id) {
    StaffRow row = row(id);
    return new PageChoices(
        row.letterKeys(),
        row.inbox(),
        row.stays(),
        (int) pause(row).toSeconds(),
        row.looksFirst(),
        row.enterSends(),
        row.secondLook());
  }

  /** Whether a person's texts wait for a colleague's yes. */
  public boolean needsSecondLook(StaffId id) {
    return row(id).secondLook();
  }

  /** How long a person's texts wait before they leave. */
  public Duration pause(StaffId id) {
    return pause(row(id));
  }

  private Duration pause(StaffRow row) {
    Integer chosen = row.pauseSeconds();
    return chosen == null ? settings.pause() : Duration.ofSeconds(chosen);
  }

  /**
   * How a person's own texts are sent.
   *
   * @param pause how long they wait before they leave; 0 to 20 seconds
   * @param looksFirst whether the person looks at each of them first
   * @param enterSends whether Enter sends; else it makes a new line
   */
  public record Sending(Duration pause, boolean looksFirst, boolean enterSends) {}

  /** Sets how a person's own texts are sent. */
  @Transactional
  public void setSending(StaffId me, Sending wanted) {
    Duration pause = wanted.pause();
    if (pause.isNegative() || pause.compareTo(LONGEST_PAUSE) > 0) {
      throw Problem.fields(List.of(new FieldProblem("pauseSeconds", "0 to 20 seconds.")));
    }
    staff.setSending(me.value(), (int) pause.toSeconds(), wanted.looksFirst(), wanted.enterSends());
  }

  /** Keeps how a person's inbox looks, for when they come back to it. */
  @Transactional
  public void keepInbox(StaffId me, String address) {
    staff.setInbox(me.value(), address);
  }

  /** Sets whether someone stays in a conversation that an act has moved on. */
  @Transactional
  public void setStays(StaffId me, boolean on) {
    staff.setStays(me.value(), on);
  }

  /** Sets whether single letters are keys for the signed-in person (WCAG 2.1.4). */
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

  /** Takes someone on who can sign in at once, with what is usual in their role. */
  @Transactional
  public StaffId add(NewStaff wanted) {
    long id =
        staff.insert(
            Accounts.normalised(wanted.signInName()),
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

  /** Keeps when someone answered last. */
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

  /** Someone. */
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

  /** Where someone gets mail; empty while no address of theirs is known. */
  public Optional<String> findEmail(StaffId id) {
    return Optional.ofNullable(row(id).email());
  }

  /** Whether there is anybody yet. */
  public boolean isEmpty() {
    return staff.list().isEmpty();
  }

  /** Reads people again the next time. */
  public void forget() {
    everybody.forget();
    permits.forget();
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
}
