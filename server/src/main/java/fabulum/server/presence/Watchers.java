package fabulum.server.presence;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.InSight;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;

/**
 * Who is looking at which conversation and who is writing in it, now. A page says so every few
 * seconds; one that falls silent, as on a closed laptop, is forgotten.
 */
@Service
public class Watchers {
  /** A page that was silent for so long has gone. */
  public static final Duration PATIENCE = Duration.ofSeconds(11);

  private final InSight inSight;
  private final ReadMarks marks;
  private final People people;
  private final ApplicationEventPublisher events;
  private final Map<Long, Map<Long, Watch>> byConversation = new HashMap<>();

  Watchers(InSight inSight, ReadMarks marks, People people, ApplicationEventPublisher events) {
    this.inSight = inSight;
    this.marks = marks;
    this.people = people;
    this.events = events;
  }

  /** What someone does there, and when the page said so, on the machine's own counter. */
  private record Watch(boolean writing, long saidAt) {}

  /**
   * Someone at a conversation.
   *
   * @param writing and not only looking
   */
  public record Watcher(StaffView staff, boolean writing) {}

  /** Who is at a conversation now. */
  public record Watched(long conversationId, List<Watcher> watchers) {
    public Watched {
      watchers = List.copyOf(watchers);
    }
  }

  /** Someone came to a conversation, left it, began or stopped writing. */
  public record Changed(ConversationId id) {}

  /** Someone came to a conversation, so they know what is in it. */
  public record Came(ConversationId id, StaffId who) {}

  /**
   * Says that someone is at a conversation they see; to be said again every few seconds.
   *
   * @return up to when they had read it before; empty when they never opened it
   */
  public Optional<Instant> watch(ConversationId id, boolean writing, StaffId who) {
    Optional<Instant> before = marks.saw(who, inSight.row(id, who));
    come(id, writing, who);
    return before;
  }

  private void come(ConversationId id, boolean writing, StaffId who) {
    long now = System.nanoTime();
    Watch before;
    synchronized (this) {
      before =
          byConversation
              .computeIfAbsent(id.value(), any -> new HashMap<>())
              .put(who.value(), new Watch(writing, now));
    }
    if (before == null) {
      events.publishEvent(new Came(id, who));
    }
    if (before == null || before.writing() != writing) {
      events.publishEvent(new Changed(id));
    }
  }

  /** Says that someone has left a conversation. */
  public void leave(ConversationId id, StaffId who) {
    boolean was;
    synchronized (this) {
      Map<Long, Watch> there = byConversation.getOrDefault(id.value(), new HashMap<>());
      was = there.remove(who.value()) != null;
      if (there.isEmpty()) {
        byConversation.remove(id.value());
      }
    }
    if (was) {
      events.publishEvent(new Changed(id));
    }
  }

  /** Whether someone has a conversation in front of them. */
  public synchronized boolean isThere(ConversationId id, StaffId who) {
    return byConversation.getOrDefault(id.value(), Map.of()).containsKey(who.value());
  }

  /** Who is at a conversation. */
  public Watched at(ConversationId id) {
    Map<Long, Watch> there;
    synchronized (this) {
      there = Map.copyOf(byConversation.getOrDefault(id.value(), Map.of()));
    }
    List<Watcher> watchers = new ArrayList<>();
    there.forEach(
        (who, watch) -> watchers.add(new Watcher(people.get(new StaffId(who)), watch.writing())));
    watchers.sort(Comparator.comparing(watcher -> watcher.staff().name()));
    return new Watched(id.value(), watchers);
  }

  /** Who is at which conversation, of those that someone sees. */
  public List<Watched> list(StaffId asking) {
    List<ConversationId> all;
    synchronized (this) {
      all = byConversation.keySet().stream().sorted().map(ConversationId::new).toList();
    }
    return inSight.list(all, asking).stream()
        .map(row -> at(new ConversationId(row.id())))
        .sorted(Comparator.comparing(Watched::conversationId))
        .toList();
  }

  @Scheduled(fixedRate = 1, timeUnit = TimeUnit.SECONDS)
  void forgetTheSilent() {
    long now = System.nanoTime();
    Set<Long> left = new HashSet<>();
    synchronized (this) {
      byConversation.forEach((id, there) -> {
        if (there.values().removeIf(watch -> now - watch.saidAt() > PATIENCE.toNanos())) {
          left.add(id);
        }
      });
      byConversation.values().removeIf(Map::isEmpty);
    }
    left.forEach(id -> events.publishEvent(new Changed(new ConversationId(id))));
  }
}
