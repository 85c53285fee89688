package fabulum.demo;

import fabulum.core.hours.Hours;
import fabulum.demo.DemoData.Entry;
import fabulum.server.lines.NewLine;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** How long the customer of one conversation waited each time, as it is kept with the answers. */
final class AnswerWaits {
  private final long conversation;
  private final NewLine line;
  private final List<Object[]> ended = new ArrayList<>();
  private @Nullable Instant waiting;
  private @Nullable Instant opened;
  private boolean answered;

  AnswerWaits(long conversation, NewLine line) {
    this.conversation = conversation;
    this.line = line;
  }

  /** The columns of an entry: working seconds, promised seconds, first answer, waiting since. */
  @Nullable Object[] columns(Entry entry) {
    Instant at = entry.at();
    if (opened == null && entry.speaker() != Situation.Speaker.DONE) {
      opened = at;
      answered = false;
    }
    return switch (entry.speaker()) {
      case CUSTOMER -> {
        waiting = waiting == null ? at : waiting;
        yield NOTHING;
      }
      case STAFF -> answer(at);
      case DONE -> {
        Instant began = opened == null ? at : opened;
        end(at);
        opened = null;
        yield new @Nullable Object[] {working(began, at), null, false, null};
      }
      case NOTE -> NOTHING;
    };
  }

  private static final @Nullable Object[] NOTHING = {null, null, false, null};

  private @Nullable Object[] answer(Instant at) {
    Instant since = waiting;
    boolean first = !answered;
    answered = true;
    if (since == null) {
      return NOTHING;
    }
    end(at);
    return new @Nullable Object[] {
      working(since, at), line.promise().within().toSeconds(), first, since.atOffset(ZoneOffset.UTC)
    };
  }

  private void end(Instant at) {
    if (waiting != null && waiting.isBefore(at)) {
      ended.add(
          new Object[] {
            conversation, waiting.atOffset(ZoneOffset.UTC), at.atOffset(ZoneOffset.UTC)
          });
    }
    waiting = null;
  }

  private long working(Instant from, Instant to) {
    Hours hours = line.hours();
    return hours.between(from, to).toSeconds();
  }

  /** Rows of waits that ended. */
  List<Object[]> ended() {
    return ended;
  }
}
