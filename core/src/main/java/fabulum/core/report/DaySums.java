package fabulum.core.report;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The sums of one day on one line. What happened in a conversation about several topics is in the
 * sum of each, so sums of topics do not add up; {@link #ALL_TOPICS} has everything once.
 */
public record DaySums(Map<Key, Sum> sums) {
  /** In place of a topic: whatever it was about. */
  public static final long ALL_TOPICS = 0;

  /** In place of a topic: what was about nothing. */
  public static final long NO_TOPIC = -1;

  public DaySums {
    sums = Map.copyOf(sums);
  }

  /**
   * What a sum is of.
   *
   * @param topic a topic, {@link #ALL_TOPICS} or {@link #NO_TOPIC}
   */
  public record Key(Measure measure, long staff, long topic) {}

  /** Adds up what happened on one day. */
  public static DaySums of(List<Fact> facts) {
    Map<Key, List<Fact>> sorted = new HashMap<>();
    for (Fact fact : facts) {
      Set<Long> topics = fact.topics().isEmpty() ? Set.of(NO_TOPIC) : fact.topics();
      add(sorted, fact, ALL_TOPICS);
      topics.forEach(topic -> add(sorted, fact, topic));
    }
    Map<Key, Sum> sums = new HashMap<>();
    sorted.forEach((key, all) -> sums.put(key, sum(all)));
    return new DaySums(sums);
  }

  private static void add(Map<Key, List<Fact>> sorted, Fact fact, long topic) {
    sorted
        .computeIfAbsent(new Key(fact.measure(), fact.staff(), topic), anyKey -> new ArrayList<>())
        .add(fact);
  }

  private static Sum sum(List<Fact> facts) {
    long[] seconds =
        facts.stream()
            .filter(fact -> fact.seconds().isPresent())
            .mapToLong(fact -> fact.seconds().getAsLong())
            .toArray();
    long kept = facts.stream().filter(Fact::kept).count();
    return new Sum(facts.size(), kept, Seconds.of(seconds));
  }
}
