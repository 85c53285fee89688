package fabulum.demo;

import fabulum.core.conversation.ConversationState;
import fabulum.core.conversation.Group;
import fabulum.core.delivery.DeliveryState;
import fabulum.core.parts.PartCounter;
import fabulum.demo.DemoData.Conversation;
import fabulum.demo.DemoData.Entry;
import fabulum.demo.DemoData.Number;
import fabulum.demo.Situation.Speaker;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** Rows of the tables, as the demonstration fills them. */
final class Rows {
  private static final Duration A_LIFETIME = Duration.ofDays(36_500);

  private Rows() {}

  /** The id of a line: they are added in this order. */
  static long lineId(Situation.Line line) {
    return switch (line) {
      case DOCK -> 1;
      case YARD -> 2;
      case STORAGE -> 3;
    };
  }

  /** A conversation, its id first. */
  static @Nullable Object[] conversation(long id, Conversation conversation, Number number) {
    Entry last =
        conversation.entries().stream()
            .filter(e -> e.speaker() == Speaker.CUSTOMER || e.speaker() == Speaker.STAFF)
            .reduce((a, b) -> b)
            .orElseThrow();
    boolean known = number.holders().size() == 1;
    ConversationState state = conversation.state();
    Instant place = state.asideUntil().orElse(state.since());
    Instant opened = opened(conversation);
    return new @Nullable Object[] {
      id,
      lineId(conversation.line()),
      conversation.number() + 1,
      number.address(),
      known ? number.holders().get(0) + 1 : null,
      conversation.owner() == null ? null : conversation.owner() + 1,
      conversation.state().group().name(),
      conversation.state().turn().name(),
      state.since().atOffset(ZoneOffset.UTC),
      (state.group() == Group.SET_ASIDE && state.asideUntil().isEmpty()
              ? place.plus(A_LIFETIME)
              : place)
          .atOffset(ZoneOffset.UTC),
      conversation.state().finishedUnanswered(),
      !known && number.isPhone(),
      last.at().atOffset(ZoneOffset.UTC),
      last.words().length() > 200 ? last.words().substring(0, 200) : last.words(),
      last.speaker() == Speaker.CUSTOMER ? "CUSTOMER" : "US",
      opened.atOffset(ZoneOffset.UTC),
      state.asideUntil().map(until -> until.atOffset(ZoneOffset.UTC)).orElse(null),
      state.back().map(Enum::name).orElse(null)
    };
  }

  /** The first entry after it was done the last time, or the very first. */
  private static Instant opened(Conversation conversation) {
    Instant opened = conversation.entries().get(0).at();
    for (int i = 1; i < conversation.entries().size(); i++) {
      if (conversation.entries().get(i - 1).speaker() == Speaker.DONE) {
        opened = conversation.entries().get(i).at();
      }
    }
    return opened;
  }

  /**
   * An entry.
   *
   * @param position among all entries of the demonstration
   */
  static @Nullable Object[] entry(long id, Conversation conversation, Entry entry, int position) {
    boolean in = entry.speaker() == Speaker.CUSTOMER;
    boolean out = entry.speaker() == Speaker.STAFF;
    boolean done = entry.speaker() == Speaker.DONE;
    String name = String.format(Locale.ROOT, "demo-%06d", position);
    return new @Nullable Object[] {
      id,
      in ? conversation.number() + 1 : null,
      entry.at().atOffset(ZoneOffset.UTC),
      in ? "IN" : out ? "OUT" : done ? "EVENT" : "NOTE",
      done ? null : entry.words(),
      done ? "DONE" : null,
      entry.by() == null ? null : entry.by() + 1,
      in || out ? name : null,
      out ? name : null,
      out ? (position % 3 == 0 ? DeliveryState.READ : DeliveryState.DELIVERED).name() : null,
      out ? PartCounter.count(entry.words()).count() : null
    };
  }
}
