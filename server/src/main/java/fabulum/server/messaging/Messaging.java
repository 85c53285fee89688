package fabulum.server.messaging;

import fabulum.core.access.Act;
import fabulum.core.sending.SendDecision;
import fabulum.core.sending.SendRules;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.conversations.Conversations.Answer;
import fabulum.server.conversations.Conversations.Ends;
import fabulum.server.conversations.EntryId;
import fabulum.server.lines.Lines;
import fabulum.server.messaging.store.OutboxMapper;
import fabulum.server.people.Permits;
import fabulum.server.people.StaffId;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sending texts. */
@Service
public class Messaging {
  private final Conversations conversations;
  private final Lines lines;
  private final Permits permits;
  private final OutboxMapper outbox;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Messaging(
      Conversations conversations,
      Lines lines,
      Permits permits,
      OutboxMapper outbox,
      ApplicationEventPublisher events,
      Clock clock) {
    this.conversations = conversations;
    this.lines = lines;
    this.permits = permits;
    this.outbox = outbox;
    this.events = events;
    this.clock = clock;
  }

  /**
   * Sends an answer: the text and its place in the outbox are committed together, and it goes out
   * soon after. Sending again under the same reference sends nothing more.
   *
   * @return whether it may go; if not, nothing was changed
   */
  @Transactional
  public SendDecision answer(ConversationId id, Answer answer, StaffId by) {
    Ends ends = conversations.ends(id, by);
    permits.require(by, Act.TEXT);
    SendDecision decision =
        SendRules.decide(answer.words(), ends.other(), lines.get(ends.line()).inUse());
    if (decision instanceof SendDecision.Allowed) {
      Optional<EntryId> entry = conversations.answer(id, answer, by);
      entry.ifPresent(added -> putIntoOutbox(added, id));
    }
    return decision;
  }

  private void putIntoOutbox(EntryId entry, ConversationId conversation) {
    Instant now = clock.instant();
    outbox.insert(entry.value(), conversation.value(), now);
    events.publishEvent(new OutboxFilled(entry));
  }
}
