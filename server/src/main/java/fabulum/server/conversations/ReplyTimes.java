package fabulum.server.conversations;

import fabulum.core.conversation.ConversationState;
import fabulum.core.promise.Promise;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LinePromise;
import fabulum.server.lines.Lines;
import fabulum.server.topics.Topics;
import java.time.Instant;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What is promised for an answer, and the working time of lines. */
@Component
class ReplyTimes {
  private final Lines lines;
  private final Topics topics;

  ReplyTimes(Lines lines, Topics topics) {
    this.lines = lines;
    this.topics = topics;
  }

  /** When an answer is due: by the shortest promise of the topics, else by the line's. */
  @Nullable Instant due(LineId line, ConversationState state, Set<Long> topicIds) {
    LinePromise ofLine = lines.promise(line);
    Promise promise = promise(ofLine, topicIds);
    return state.waitingSince().flatMap(since -> promise.due(since, ofLine.hours())).orElse(null);
  }

  /** The promise on a line for what is about these topics. */
  Promise promise(LineId line, Set<Long> topicIds) {
    return promise(lines.promise(line), topicIds);
  }

  private Promise promise(LinePromise ofLine, Set<Long> topicIds) {
    return topics.shortest(topicIds).orElse(ofLine.promise());
  }

  /** Working seconds on a line from one instant to another; 0 when the second comes first. */
  long workingSeconds(LineId line, Instant from, Instant to) {
    return to.isBefore(from) ? 0 : lines.promise(line).hours().between(from, to).toSeconds();
  }
}
