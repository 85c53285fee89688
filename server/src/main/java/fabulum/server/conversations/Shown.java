package fabulum.server.conversations;

import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import java.util.stream.Stream;

/**
 * What a page showed of a conversation when a person decided to put it out of sight.
 *
 * @param newest the highest id among the entries it showed; 0 for none
 * @param lost the texts of ours it showed as not delivered and still to be dealt with, by their ids
 */
public record Shown(long newest, Set<Long> lost) {
  private static final int MOST_KEPT = 150;

  public Shown {
    lost = Set.copyOf(lost);
  }

  /**
   * As it is kept: {@code 40 17 19} for the entries up to 40, and 17 and 19 not delivered. Of those
   * not delivered, the oldest {@value #MOST_KEPT} are kept; the others count as new.
   */
  public String text() {
    LongStream kept = lost.stream().mapToLong(Long::longValue).sorted().limit(MOST_KEPT);
    return LongStream.concat(LongStream.of(newest), kept)
        .mapToObj(Long::toString)
        .collect(Collectors.joining(" "));
  }

  /** Reads what {@link #text} wrote. */
  public static Shown read(String text) {
    String[] ids = text.split(" ");
    return new Shown(
        Long.parseLong(ids[0]),
        Stream.of(ids).skip(1).map(Long::valueOf).collect(Collectors.toSet()));
  }
}
