package fabulum.server.live;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/** The last messages, for browsers that were away briefly. */
final class Recent {
  private static final int KEPT = 2_000;

  private final Deque<Told> messages = new ArrayDeque<>();

  void add(Told told) {
    messages.addLast(told);
    if (messages.size() > KEPT) {
      messages.removeFirst();
    }
  }

  /**
   * What came after a message.
   *
   * @param heard the number of that message
   * @param last the number of the last message there was
   * @return empty when some of it is no longer kept, or there never was such a message
   */
  Optional<List<Told>> after(long heard, long last) {
    long oldest = messages.isEmpty() ? last + 1 : messages.getFirst().number();
    return heard > last || heard < oldest - 1
        ? Optional.empty()
        : Optional.of(messages.stream().filter(told -> told.number() > heard).toList());
  }
}
