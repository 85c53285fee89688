package fabulum.server.inbox;

import fabulum.core.access.Sight;
import fabulum.core.access.Spot;
import fabulum.core.conversation.Group;
import fabulum.core.sentence.Facts;
import fabulum.core.sentence.Sentence;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.changes.ConversationChanged;
import fabulum.server.conversations.changes.TopicsMerged;
import fabulum.server.feed.ChangeFeed;
import fabulum.server.inbox.store.FactsRow;
import fabulum.server.inbox.store.InboxMapper;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Counts conversations by what is known of them, kept up with every change, so that counting costs
 * the same however many there are. Kept in memory and counted again at the start, before the first
 * request is answered: after a restart all browsers ask at once.
 */
@Component
class Counters implements SmartLifecycle {
  /** Stands for the owner of what nobody owns. */
  static final long NOBODY = 0;

  private static final int BEFORE_THE_OTHERS = 0;
  private static final int BEFORE_REQUESTS = 0;
  private static final Logger log = LoggerFactory.getLogger(Counters.class);
  private static final int CHUNK = 20_000;

  private final InboxMapper lists;
  private final Bookkeeping books;
  private final ChangeFeed feed;
  private final Lines lines;
  private final Map<Long, Placed> placed = new HashMap<>();
  private final Map<Placing, Integer> counts = new HashMap<>();
  private final Map<Placing, Placing> known = new HashMap<>();
  private volatile boolean running;

  Counters(InboxMapper lists, Bookkeeping books, ChangeFeed feed, Lines lines) {
    this.lists = lists;
    this.books = books;
    this.feed = feed;
    this.lines = lines;
  }

  /** What many conversations have in common. */
  private record Placing(
      Group group,
      long line,
      @Nullable Long owner,
      @Nullable Long team,
      @Nullable Long startedBy,
      Set<Long> topics,
      boolean toIdentify,
      boolean failed) {}

  private record Placed(long version, Placing standing) {}

  /**
   * Counts everything again. The database is never asked while the counters are held: the thread
   * that tells of a commit still has a connection, and waiting for one another would be for ever.
   */
  void load() {
    List<FactsRow> rows = new ArrayList<>();
    List<FactsRow> chunk = lists.listFacts(0, CHUNK);
    while (!chunk.isEmpty()) {
      rows.addAll(chunk);
      chunk = lists.listFacts(chunk.get(chunk.size() - 1).id(), CHUNK);
    }
    Map<Long, Set<Long>> topics = books.topicsOfAll();
    synchronized (this) {
      rows.forEach(row -> place(row, topics.getOrDefault(row.id(), Set.of())));
    }
  }

  @Override
  public void start() {
    load();
    running = true;
  }

  @Override
  public void stop() {
    running = false;
  }

  @Override
  public boolean isRunning() {
    return running;
  }

  @Override
  public int getPhase() {
    return BEFORE_REQUESTS;
  }

  /**
   * The row is read again, so being told twice, or in another order, does no harm. Topics are read
   * after it: they are then at least as new as its version says. Before browsers are told: a page
   * that hears of a change asks for the counts.
   */
  @Order(BEFORE_THE_OTHERS)
  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void changed(ConversationChanged change) {
    try {
      read(change.id().value());
    } catch (RuntimeException e) {
      log.warn("A change could not be counted; it will be, from the feed", e);
      feed.missed();
    }
  }

  private void read(long id) {
    Optional<FactsRow> row = lists.findFacts(id);
    Set<Long> topics = books.topicsOf(id);
    synchronized (this) {
      row.ifPresent(read -> place(read, topics));
    }
  }

  /** Touches too many to tell one by one. */
  @Order(BEFORE_THE_OTHERS)
  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void merged(TopicsMerged merge) {
    load();
  }

  private void place(FactsRow row, Set<Long> topics) {
    Placed before = placed.get(row.id());
    if (before != null && before.version() > row.version()) {
      return;
    }
    Placing fresh =
        new Placing(
            row.box(),
            row.lineId(),
            row.ownerId(),
            row.teamId(),
            row.startedBy(),
            topics,
            row.toIdentify(),
            row.failed());
    Placing standing = known.computeIfAbsent(fresh, Function.identity());
    placed.put(row.id(), new Placed(row.version(), standing));
    counts.merge(standing, 1, Integer::sum);
    if (before != null) {
      counts.computeIfPresent(before.standing(), (gone, n) -> n == 1 ? null : n - 1);
    }
  }

  /** How many stand in each group, for a sentence that facts alone decide. */
  Map<Group, Integer> count(Sentence sentence, Sight sight) {
    Map<Long, LineView> byId =
        lines.list().stream().collect(Collectors.toMap(LineView::id, Function.identity()));
    Map<Group, Integer> sums = new EnumMap<>(Group.class);
    synchronized (this) {
      counts.forEach((standing, n) -> {
        LineView line = byId.get(standing.line());
        if (line != null
            && sight.sees(spot(standing))
            && sentence.agreesWith(facts(standing, line), sight.who())) {
          sums.merge(standing.group(), n, Integer::sum);
        }
      });
      brought(sight)
          .forEach(standing -> {
            LineView line = byId.get(standing.line());
            if (line != null && sentence.agreesWith(facts(standing, line), sight.who())) {
              sums.merge(standing.group(), 1, Integer::sum);
            }
          });
    }
    return sums;
  }

  /** Where those are into which someone was only brought; they are few. */
  private List<Placing> brought(Sight sight) {
    return sight.guestOf().stream()
        .map(placed::get)
        .filter(Objects::nonNull)
        .map(Placed::standing)
        .filter(standing -> !sight.isTheirs(spot(standing)))
        .toList();
  }

  private static Facts facts(Placing standing, LineView line) {
    return new Facts(
        line.id(),
        line.siteId(),
        standing.team() == null ? line.teamId() : standing.team(),
        id(standing.owner()),
        id(standing.startedBy()),
        standing.topics(),
        standing.toIdentify(),
        standing.failed());
  }

  private static Spot spot(Placing standing) {
    return new Spot(standing.line(), id(standing.owner()), id(standing.team()));
  }

  /** How many of those in sight each owner has, by group; {@link #NOBODY} owns the rest. */
  Map<Long, Map<Group, Integer>> countByOwner(Sight sight) {
    Map<Long, Map<Group, Integer>> sums = new HashMap<>();
    synchronized (this) {
      counts.forEach((standing, n) -> {
        if (sight.sees(spot(standing))) {
          long owner = standing.owner() == null ? NOBODY : standing.owner();
          sums.computeIfAbsent(owner, any -> new EnumMap<>(Group.class))
              .merge(standing.group(), n, Integer::sum);
        }
      });
      brought(sight)
          .forEach(standing ->
              sums.computeIfAbsent(
                      standing.owner() == null ? NOBODY : standing.owner(),
                      any -> new EnumMap<>(Group.class))
                  .merge(standing.group(), 1, Integer::sum));
    }
    return sums;
  }

  /** Lines on which there is something that was handed to one of these teams. */
  Set<Long> handedTo(Set<Long> teams) {
    Set<Long> handed = new HashSet<>();
    synchronized (this) {
      counts.keySet().stream()
          .filter(standing -> standing.team() != null && teams.contains(standing.team()))
          .forEach(standing -> handed.add(standing.line()));
    }
    return handed;
  }

  /** Lines of conversations into which someone was brought. */
  Set<Long> linesOf(Sight sight) {
    synchronized (this) {
      return brought(sight).stream().map(Placing::line).collect(Collectors.toSet());
    }
  }

  private static OptionalLong id(@Nullable Long id) {
    return id == null ? OptionalLong.empty() : OptionalLong.of(id);
  }
}
