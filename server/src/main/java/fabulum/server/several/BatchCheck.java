package fabulum.server.several;

import fabulum.core.conversation.Group;
import fabulum.core.hours.Openings;
import fabulum.core.parts.PartCounter;
import fabulum.core.sending.Author;
import fabulum.core.sending.Objection;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Acts;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Moment;
import fabulum.server.inbox.ConversationView;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.messaging.Messaging;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.sending.Decisions.Wanted;
import fabulum.server.topics.TopicId;
import fabulum.server.topics.TopicView;
import fabulum.server.topics.Topics;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Which of several conversations an act must leave alone, and why. */
@Component
class BatchCheck {
  private final Acts acts;
  private final Topics topics;
  private final Lines lines;
  private final Messaging messaging;
  private final Clock clock;

  BatchCheck(Acts acts, Topics topics, Lines lines, Messaging messaging, Clock clock) {
    this.acts = acts;
    this.topics = topics;
    this.lines = lines;
    this.messaging = messaging;
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
    List<Skipped> skipped = new ArrayList<>();
    Set<String> numbers = new HashSet<>();
    for (ConversationView one : chosen) {
      Optional<String> why = objection(act, one, by);
      if (why.isEmpty() && act.what() == BatchAct.What.TEXT && !numbers.add(one.address())) {
        why = Optional.of("This number already gets it, in another conversation.");
      }
      why.ifPresent(sentence -> skipped.add(new Skipped(one.id(), name(one), sentence)));
    }
    int will = chosen.size() - skipped.size();
    String words = act.words();
    int parts =
        act.what() == BatchAct.What.TEXT && words != null ? PartCounter.count(words).count() : 0;
    return new CheckView(will, parts * will, skipped);
  }

  static String name(ConversationView one) {
    return one.customerName() == null ? one.number() : one.customerName();
  }

  private Optional<String> objection(BatchAct act, ConversationView one, StaffId by) {
    boolean isOpen = one.group() != Group.DONE && one.group() != Group.BLANK;
    return switch (act.what()) {
      case DONE -> isOpen ? Optional.empty() : Optional.of("It is already done.");
      case SET_ASIDE -> isOpen ? momentObjection(act, one) : Optional.of("It is done.");
      case TOPIC -> topicObjection(act, one);
      case TEXT -> textObjection(act, one, by);
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

  private Optional<String> textObjection(BatchAct act, ConversationView one, StaffId by) {
    String words = Objects.requireNonNull(act.words());
    return messaging
        .check(
            new ConversationId(one.id()), new Wanted(words, new Author.Several(by.value()), null))
        .against(Set.of())
        .stream()
        .findFirst()
        .map(Objection::sentence);
  }
}
