package fabulum.server.accounts;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fabulum.server.access.StaffId;
import fabulum.server.accounts.SignInView.Outcome;
import fabulum.server.accounts.store.SignInMapper;
import fabulum.server.platform.LogPage;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;

/** Who is signed in where, and the record of all attempts. */
@Service
public class SignIns {
  private static final Duration LONGEST_PAUSE = Duration.ofHours(12);

  /** How long the record goes back. */
  public static final Duration KEPT = Duration.ofDays(90);

  private static final int LONGEST_AGENT = 200;
  private static final int LONGEST_NAME = 60;

  private final SignInMapper signIns;
  private final Clock clock;
  private final Cache<Long, StaffId> live =
      Caffeine.newBuilder().expireAfterAccess(LONGEST_PAUSE).build();

  private final ApplicationEventPublisher events;
  private final Map<String, Refused> counted = new ConcurrentHashMap<>();

  SignIns(SignInMapper signIns, ApplicationEventPublisher events, Clock clock) {
    this.signIns = signIns;
    this.events = events;
    this.clock = clock;
  }

  /**
   * Where an attempt comes from.
   *
   * @param browser names a browser that has signed in here before; null for others
   */
  public record From(String address, String agent, @Nullable String browser) {}

  /** Sessions live in memory, so the last run's have ended with it. */
  @EventListener(ApplicationReadyEvent.class)
  @Order(0)
  void endThoseOfTheLastRun() {
    signIns.endAll(clock.instant());
  }

  /** A sign-in has ended. */
  public record Ended(long id) {}

  long begin(StaffId staff, String name, From from) {
    long id =
        signIns.insert(
            clock.instant(),
            staff.value(),
            cut(name, LONGEST_NAME),
            cut(from.address(), LONGEST_NAME),
            cut(from.agent(), LONGEST_AGENT),
            Outcome.IN);
    live.put(id, staff);
    return id;
  }

  /**
   * Counts a refused attempt. Attempts are counted by the hour, account and outcome and written
   * down now and then, so that a stranger cannot fill the disk by guessing. The names they try are
   * not kept where nobody here is called so.
   */
  void refused(@Nullable StaffId staff, String name, From from, Outcome outcome) {
    Instant now = clock.instant();
    long account = staff == null ? 0 : staff.value();
    String bucket = now.truncatedTo(ChronoUnit.HOURS) + " " + outcome + " " + account;
    Refused one =
        new Refused(
            now,
            staff == null ? null : staff.value(),
            staff == null ? "" : cut(name, LONGEST_NAME),
            cut(from.address(), LONGEST_NAME),
            cut(from.agent(), LONGEST_AGENT),
            outcome,
            1);
    counted.merge(bucket, one, Refused::and);
  }

  /** Refused attempts of one hour on one account: the last of them, and how many there were. */
  private record Refused(
      Instant at,
      @Nullable Long staff,
      String name,
      String address,
      String agent,
      Outcome outcome,
      int tries) {
    Refused and(Refused later) {
      return new Refused(
          later.at, staff, name, later.address, later.agent, outcome, tries + later.tries);
    }
  }

  /** Writes down what was counted since. */
  @Scheduled(fixedDelay = 10, timeUnit = TimeUnit.SECONDS)
  public void writeCounts() {
    for (String bucket : List.copyOf(counted.keySet())) {
      Refused sum = counted.remove(bucket);
      if (sum != null) {
        write(bucket, sum);
      }
    }
  }

  private void write(String bucket, Refused sum) {
    if (signIns.count(bucket, sum.at(), sum.address(), sum.agent(), sum.tries()) == 0) {
      signIns.insertCounted(
          bucket,
          sum.at(),
          sum.staff(),
          sum.name(),
          sum.address(),
          sum.agent(),
          sum.outcome(),
          sum.tries());
    }
  }

  /** The record is kept for 90 days. */
  @Scheduled(initialDelay = 1, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
  public void forgetTheOld() {
    signIns.deleteBefore(clock.instant().minus(KEPT));
  }

  private static String cut(String words, int longest) {
    return words.length() <= longest ? words : words.substring(0, longest);
  }

  /** Whether a sign-in still lets its owner in. */
  public boolean isLive(long id) {
    return live.getIfPresent(id) != null;
  }

  /** Signs out. */
  public void end(long id) {
    live.invalidate(id);
    signIns.end(id, clock.instant());
    events.publishEvent(new Ended(id));
  }

  /** Where someone is signed in now, the newest first. */
  public List<SignInView> list(StaffId staff) {
    return signIns.listOpen(staff.value()).stream().filter(one -> isLive(one.id())).toList();
  }

  /** Ends all of a person's sign-ins but one; 0 for all. */
  public int endAllBut(StaffId staff, long stays) {
    List<SignInView> others = list(staff).stream().filter(one -> one.id() != stays).toList();
    others.forEach(one -> end(one.id()));
    return others.size();
  }

  /** A page of all attempts. */
  public List<SignInView> record(LogPage page) {
    writeCounts();
    return signIns.list(page);
  }
}
