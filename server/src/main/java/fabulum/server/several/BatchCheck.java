package fabulum.server.several;

import fabulum.core.conversation.Group;
import fabulum.core.hours.Openings;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Acts;
import fabulum.server.conversations.Moment;
import fabulum.server.inbox.ConversationView;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.topics.TopicId;
import fabulum.server.topics.TopicView;
import fabulum.server.topics.Topics;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Which of several conversations an act must leave alone, and why. */
@Component
class BatchCheck {
  private final Acts acts;
  private final Topics topics;
  private final Lines lines;
  private final TextCheck textCheck;
  private final Clock clock;

  BatchCheck(Acts acts, Topics topics, Lines lines, TextCheck textCheck, Clock clock) {
    this.acts = acts;
    this.topics = topics;
    this.lines = lines;
    this.textCheck = textCheck;
    this.clock = clock;
  }

  /** Refuses an act that lacks what it needs. */
  void require(BatchAct act) {
    switch (act.what()) {
      case TOPIC -> {
        if (act.topicId() == null || topics.find(new TopicId(act.topicId())).isEmpty()) {
          throw bad("topicId", "Choose a topic.");
        }
      }
      case SET_ASIDE -> {
        if (act.moment() == null) {
          throw bad("moment", "Choose a time.");
        }
      }
      case TEXT -> {
        if (act.words() == null || act.words().isBlank()) {
          throw bad("words", "Write something first.");
        }
      }
      case DONE -> {}
    }
  }

  private static Problem bad(String field, String why) {
    return Problem.fields(List.of(new FieldProblem(field, why)));
  }

  CheckView check(BatchAct act, List<ConversationView> chosen, StaffId by) {
    return act.what() == BatchAct.What.TEXT
        ? textCheck.check(Objects.requireNonNull(act.words()), chosen, by)
        : checkEach(act, chosen);
  }

  private CheckView checkEach(BatchAct act, List<ConversationView> chosen) {
    List<Skipped> skipped = new ArrayList<>();
    for (ConversationView one : chosen) {
      objection(act, one)
          .ifPresent(sentence -> skipped.add(new Skipped(one.id(), name(one), sentence)));
    }
    return CheckView.of(chosen.size() - skipped.size(), skipped);
  }

  static String name(ConversationView one) {
    return one.customerName() == null ? one.number() : one.customerName();
  }

  private Optional<String> objection(BatchAct act, ConversationView one) {
    boolean isOpen = one.group() != Group.DONE && one.group() != Group.BLANK;
    return switch (act.what()) {
      case DONE -> isOpen ? Optional.empty() : Optional.of("It is already done.");
      case SET_ASIDE -> isOpen ? momentObjection(act, one) : Optional.of("It is done.");
      case TOPIC -> topicObjection(act, one);
      case TEXT -> Optional.empty();
    };
  }

  private Optional<String> momentObjection(BatchAct act, ConversationView one) {
    Moment moment = Objects.requireNonNull(act.moment());
    Openings openings = new Openings(lines.promise(new LineId(one.lineId())).hours());
    return moment.objection(openings, clock.instant());
  }

  private Optional<String> topicObjection(BatchAct act, ConversationView one) {
    long id = Objects.requireNonNull(act.topicId());
    TopicView topic = topics.find(new TopicId(id)).orElseThrow();
    return one.topics().contains(id)
        ? Optional.of("It already has this topic.")
        : acts.topicObjection(one.lineId(), topic);
  }
}
