package fabulum.server.people;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fabulum.server.people.SignInView.Outcome;
import fabulum.server.people.store.SignInMapper;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Service;

/** Who is signed in where, and the record of all attempts. */
@Service
public class SignIns {
  private static final Duration LONGEST_PAUSE = Duration.ofHours(12);
  private static final int LONGEST_AGENT = 200;
  private static final int LONGEST_NAME = 60;

  private final SignInMapper signIns;
  private final Clock clock;
  private final Cache<Long, StaffId> live =
      Caffeine.newBuilder().expireAfterAccess(LONGEST_PAUSE).build();

  SignIns(SignInMapper signIns, Clock clock) {
    this.signIns = signIns;
    this.clock = clock;
  }

  /** Where an attempt comes from. */
  public record From(String address, String agent) {}

  /** Sessions live in memory, so the last run's have ended with it. */
  @EventListener(ApplicationReadyEvent.class)
  @Order(0)
  void endThoseOfTheLastRun() {
    signIns.endAll(clock.instant());
  }

  long begin(StaffId staff, String name, From from) {
    long id = note(staff, name, from, Outcome.IN);
    live.put(id, staff);
    return id;
  }

  void failed(@Nullable StaffId staff, String name, From from, Outcome outcome) {
    note(staff, name, from, outcome);
  }

  private long note(@Nullable StaffId staff, String name, From from, Outcome outcome) {
    return signIns.insert(
        clock.instant(),
        staff == null ? null : staff.value(),
        cut(name, LONGEST_NAME),
        cut(from.address(), LONGEST_NAME),
        cut(from.agent(), LONGEST_AGENT),
        outcome);
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
  }

  /** Where somebody is signed in now, the newest first. */
  public List<SignInView> list(StaffId staff) {
    return signIns.listOpen(staff.value()).stream().filter(one -> isLive(one.id())).toList();
  }

  /** Ends all of somebody's sign-ins but one; 0 for all. */
  public int endAllBut(StaffId staff, long stays) {
    List<SignInView> others = list(staff).stream().filter(one -> one.id() != stays).toList();
    others.forEach(one -> end(one.id()));
    return others.size();
  }

  /** All attempts, the newest first, from before an id. */
  public List<SignInView> record(long before, int limit) {
    return signIns.list(before, limit);
  }
}
