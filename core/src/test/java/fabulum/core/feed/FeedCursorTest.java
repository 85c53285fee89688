package fabulum.core.feed;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.feed.FeedCursor.Item;
import fabulum.core.feed.FeedCursor.Reading;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class FeedCursorTest {
  private static final Instant START = Instant.parse("2026-06-09T12:00:00Z");
  private static final long SEED = 20261126;

  private record Written(Item item, Instant visible) {}

  @Test
  void everyChangeIsReadOnceInWhateverOrderTheyBecomeVisible() {
    Random random = new Random(SEED);
    for (int run = 0; run < 300; run++) {
      List<Written> all = written(random);
      List<Long> read = new ArrayList<>();
      FeedCursor cursor = FeedCursor.after(0);
      int limit = 1 + random.nextInt(40);
      for (Instant now = START; now.isBefore(START.plusSeconds(900)); ) {
        Reading reading = cursor.read(visible(all, cursor.settled(), now), now);
        read.addAll(reading.fresh());
        cursor = reading.next();
        now = now.plusMillis(1 + random.nextInt(limit * 500));
      }
      assertThat(read)
          .as("seed %d, run %d", SEED, run)
          .doesNotHaveDuplicates()
          .containsExactlyInAnyOrderElementsOf(
              all.stream().map(each -> each.item().number()).toList());
      assertThat(cursor.had()).as("remembers no more than the last minute").isEmpty();
    }
  }

  /** Numbers ascend with the time they were written; each is visible up to 59 s later. */
  private static List<Written> written(Random random) {
    List<Written> all = new ArrayList<>();
    Instant at = START;
    for (long number = 1; number <= 60; number += 1 + random.nextInt(3)) {
      at = at.plusMillis(random.nextInt(10_000));
      all.add(new Written(new Item(number, at), at.plusMillis(random.nextInt(59_000))));
    }
    return all;
  }

  private static List<Item> visible(List<Written> all, long after, Instant now) {
    return all.stream()
        .filter(each -> !each.visible().isAfter(now) && each.item().number() > after)
        .map(Written::item)
        .sorted(Comparator.comparingLong(Item::number))
        .toList();
  }

  @Test
  void aReaderGoesOnBeforeTheFirstChangeThatIsTooNew() {
    Instant now = START.plusSeconds(100);
    Reading reading =
        FeedCursor.after(3)
            .read(
                List.of(
                    new Item(4, START),
                    new Item(6, START.plusSeconds(39)),
                    new Item(7, START.plusSeconds(40)),
                    new Item(9, START)),
                now);
    assertThat(reading.fresh()).containsExactly(4L, 6L, 7L, 9L);
    assertThat(reading.next().settled()).isEqualTo(6);
    assertThat(reading.next().had()).containsExactlyInAnyOrder(7L, 9L);
  }
}
