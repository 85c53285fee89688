package fabulum.server.outage;

import fabulum.core.access.Act;
import fabulum.core.access.Sight;
import fabulum.core.phone.PhoneNumber;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.lines.Sights;
import fabulum.server.lines.TypedNumbers;
import fabulum.server.messaging.Unreported;
import fabulum.server.outage.Held.State;
import fabulum.server.outage.OutageView.Comparison;
import fabulum.server.outage.OutageView.NetworkText;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/**
 * What the network holds for some days, compared with what we have; for leads, as far as they see
 * the lines. Nothing of it is stored, for it can be done again at any time.
 */
@Service
public class Outage {
  /** The most days in one comparison. */
  public static final int MOST_DAYS = 31;

  private static final int SHOWN = 500;

  private final Comparing comparing;
  private final Unreported unreported;
  private final Permits permits;
  private final Sights sights;
  private final TypedNumbers numbers;
  private final Clock clock;

  Outage(
      Comparing comparing,
      Unreported unreported,
      Permits permits,
      Sights sights,
      TypedNumbers numbers,
      Clock clock) {
    this.comparing = comparing;
    this.unreported = unreported;
    this.permits = permits;
    this.sights = sights;
    this.numbers = numbers;
    this.clock = clock;
  }

  /** How the last comparison stands. */
  public OutageView view(StaffId asking) {
    permits.require(asking, Act.LEAD);
    Run run = comparing.last();
    return new OutageView(
        run == null ? null : comparison(run, sights.of(asking)), unreported.count());
  }

  private Comparison comparison(Run run, Sight sight) {
    List<Held> seen = run.found().stream().filter(held -> isSeen(held, sight)).toList();
    return new Comparison(
        run.first(),
        run.last(),
        begins(run.first()),
        begins(run.last().plusDays(1)),
        run.doing(),
        run.days(),
        run.daysDone(),
        (int) run.known().stream().filter(sight::seesLine).count(),
        count(seen, State.MISSING),
        count(seen, State.DIFFERENT),
        count(seen, State.TAKEN),
        count(seen, State.CANNOT),
        run.unreadable(),
        seen.stream().limit(SHOWN).map(this::text).toList(),
        run.problem());
  }

  /** What came to a number that is no line of ours is for every lead. */
  private static boolean isSeen(Held held, Sight sight) {
    Long line = held.line();
    return line == null || sight.seesLine(line);
  }

  private static int count(List<Held> held, State state) {
    return (int) held.stream().filter(one -> one.state() == state).count();
  }

  private NetworkText text(Held held) {
    return new NetworkText(
        held.text().networkId(),
        LocalDate.ofInstant(held.text().receivedAt(), ZoneOffset.UTC),
        held.text().receivedAt(),
        number(held.text().from()),
        held.line(),
        held.text().words(),
        held.state().name(),
        held.ours(),
        held.entry() == 0 ? null : held.entry(),
        held.conversation() == 0 ? null : held.conversation(),
        held.problem());
  }

  /** As people write it; what is no number stays as the network has it. */
  private String number(String from) {
    return PhoneNumber.isE164(from) ? numbers.local(from) : from;
  }

  private static Instant begins(LocalDate day) {
    return day.atStartOfDay(ZoneOffset.UTC).toInstant();
  }

  /**
   * Compares anew, in the background.
   *
   * @param first the first day of the network, in UTC
   * @param last the last one, today at most
   */
  public void compare(LocalDate first, LocalDate last, StaffId by) {
    permits.require(by, Act.LEAD);
    LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
    if (last.isBefore(first)) {
      throw bad("last", "The last day comes before the first.");
    }
    if (last.isAfter(today)) {
      throw bad("last", "The network's day " + last + " has not begun yet.");
    }
    if (ChronoUnit.DAYS.between(first, last) >= MOST_DAYS) {
      throw bad("first", "At most " + MOST_DAYS + " days can be compared at once.");
    }
    comparing.begin(first, last);
  }

  /**
   * Takes in what is missing, in the background; each text at its own time, none twice.
   *
   * @param waitsSince texts from then on wait for an answer; null for none of them
   */
  public void take(@Nullable Instant waitsSince, StaffId by) {
    permits.require(by, Act.LEAD);
    Sight sight = sights.of(by);
    comparing.take(held -> isSeen(held, sight), waitsSince);
  }

  /**
   * Asks the network about all texts of ours it has not reported on.
   *
   * @return how many
   */
  public int askAboutUnreported(StaffId by) {
    permits.require(by, Act.LEAD);
    return unreported.askNow();
  }

  private static Problem bad(String field, String why) {
    return Problem.fields(List.of(new FieldProblem(field, why)));
  }
}
