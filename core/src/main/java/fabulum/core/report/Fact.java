package fabulum.core.report;

import java.time.LocalDateTime;
import java.util.OptionalLong;
import java.util.Set;

/**
 * Something that happened and counts.
 *
 * @param at when, by the clocks of its line
 * @param staff who did it; {@link #NOBODY} for a customer or the program
 * @param topics what the conversation was about then
 * @param seconds the time it took, where the measure has one
 * @param kept whether it kept its promise; true where the measure has none
 */
public record Fact(
    Measure measure,
    LocalDateTime at,
    long staff,
    Set<Long> topics,
    OptionalLong seconds,
    boolean kept) {
  /** Done by no colleague. */
  public static final long NOBODY = 0;

  public Fact {
    topics = Set.copyOf(topics);
  }

  /** One that is only counted. */
  public static Fact counted(Measure measure, LocalDateTime at, long staff, Set<Long> topics) {
    return new Fact(measure, at, staff, topics, OptionalLong.empty(), true);
  }
}
