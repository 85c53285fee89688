package fabulum.server.work;

import fabulum.core.access.Act;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.customers.Profiles;
import fabulum.server.people.People;
import fabulum.server.platform.Problem;
import fabulum.server.platform.SecretWords;
import fabulum.server.work.CalendarFeed.Event;
import fabulum.server.work.store.CalendarMapper;
import fabulum.server.work.store.CalendarMapper.AddressRow;
import fabulum.server.work.store.WorkMapper;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Addresses at which a calendar program reads the appointments, each made by a person for
 * themselves. It shows them while that person works here and may export.
 */
@Service
public class CalendarAddresses {
  private static final Duration BACK = Duration.ofDays(60);
  private static final Duration AHEAD = Duration.ofDays(400);
  private static final int MOST_EVENTS = 5_000;
  private static final int MOST_ADDRESSES = 10;
  private static final Duration USE_TOLD = Duration.ofMinutes(10);

  private final CalendarMapper rows;
  private final WorkMapper work;
  private final Profiles profiles;
  private final People people;
  private final Permits permits;
  private final Clock clock;

  CalendarAddresses(
      CalendarMapper rows,
      WorkMapper work,
      Profiles profiles,
      People people,
      Permits permits,
      Clock clock) {
    this.rows = rows;
    this.work = work;
    this.profiles = profiles;
    this.people = people;
    this.permits = permits;
    this.clock = clock;
  }

  /**
   * A new address.
   *
   * @param path to be shown once; only a hash of it is kept
   */
  public record MadeAddress(long id, String path) {}

  /** A person's own. */
  public List<CalendarAddress> list(StaffId me) {
    return rows.list(me.value());
  }

  /** Makes one. */
  @Transactional
  public MadeAddress add(@Nullable Long site, StaffId me) {
    permits.require(me, Act.EXPORT);
    if (rows.list(me.value()).size() >= MOST_ADDRESSES) {
      throw Problem.conflict(
          Problem.Kind.CHANGED_MEANWHILE,
          "You have " + MOST_ADDRESSES + " addresses. End one that is not used any more first.");
    }
    String secret = SecretWords.make();
    long id = rows.insert(me.value(), site, SecretWords.hash(secret), clock.instant());
    return new MadeAddress(id, "/calendar/" + secret + ".ics");
  }

  /** Ends one; it shows nothing any more. */
  @Transactional
  public void end(long id, StaffId me) {
    if (rows.delete(id, me.value()) == 0) {
      throw Problem.notFound("calendar address");
    }
  }

  /** The calendar at an address; empty when there is none, or its maker may not export any more. */
  public Optional<String> read(String secret) {
    Optional<AddressRow> found = rows.findByHash(SecretWords.hash(secret));
    if (found.isEmpty() || !mayRead(new StaffId(found.get().staffId()))) {
      return Optional.empty();
    }
    AddressRow address = found.get();
    Instant now = clock.instant();
    Instant before = address.lastUsedAt();
    if (before == null || before.isBefore(now.minus(USE_TOLD))) {
      rows.setUsed(address.id(), now);
    }
    List<Appointment> all =
        address.siteId() == null
            ? work.listAgreed(now.minus(BACK), now.plus(AHEAD), MOST_EVENTS)
            : work.listAgreedOfSite(
                address.siteId(), now.minus(BACK), now.plus(AHEAD), MOST_EVENTS);
    return Optional.of(CalendarFeed.write(events(all), now));
  }

  private boolean mayRead(StaffId maker) {
    return people.list().stream().anyMatch(one -> one.id() == maker.value())
        && permits.of(maker).may(Act.EXPORT);
  }

  private List<Event> events(List<Appointment> all) {
    Map<Long, String> names =
        profiles.names(all.stream().map(Appointment::customerId).distinct().toList());
    return all.stream()
        .map(one -> new Event(one, names.getOrDefault(one.customerId(), "")))
        .toList();
  }
}
