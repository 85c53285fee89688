package fabulum.server.messaging;

import fabulum.core.access.Act;
import fabulum.core.sending.Author;
import fabulum.core.sending.Author.Lane;
import fabulum.core.sending.SendDecision;
import fabulum.core.sending.SendRules;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.Said;
import fabulum.server.lines.Lines;
import fabulum.server.messaging.Saying.Ends;
import fabulum.server.messaging.store.OutboxMapper;
import fabulum.server.people.People;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sending texts. */
@Service
public class Messaging {
  private final Saying saying;
  private final Lines lines;
  private final Permits permits;
  private final People people;
  private final OutboxMapper outbox;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Messaging(
      Saying saying,
      Lines lines,
      Permits permits,
      People people,
      OutboxMapper outbox,
      ApplicationEventPublisher events,
      Clock clock) {
    this.saying = saying;
    this.lines = lines;
    this.permits = permits;
    this.people = people;
    this.outbox = outbox;
    this.events = events;
    this.clock = clock;
  }

  /**
   * The one way out. The text and its place in the outbox are committed together, and it goes out
   * soon after. Sending again under the same reference sends nothing more.
   *
   * @return whether it may go; if not, nothing was changed
   */
  @Transactional
  public SendDecision send(ConversationId to, Said said) {
    Author author = said.author();
    Ends ends = saying.ends(to, author);
    Optional<StaffId> writer = author.writer().stream().mapToObj(StaffId::new).findFirst();
    writer.ifPresent(by -> permits.require(by, Act.TEXT));
    SendDecision decision =
        SendRules.decide(said.words(), ends.other(), lines.get(ends.line()).inUse());
    if (decision instanceof SendDecision.Allowed) {
      saying.say(to, said).ifPresent(entry -> putIntoOutbox(entry, to, author));
    }
    return decision;
  }

  private void putIntoOutbox(EntryId entry, ConversationId conversation, Author author) {
    Instant now = clock.instant();
    outbox.insert(entry.value(), conversation.value(), author.effect().lane(), now);
    if (author.effect().lane() == Lane.SINGLE) {
      // Texts of one conversation go in order, so earlier ones must not wait in the other lane.
      outbox.moveUp(conversation.value());
    }
    author.writer().ifPresent(by -> people.answered(new StaffId(by), now));
    events.publishEvent(new OutboxFilled(entry));
  }

  /**
   * How the outbox stands.
   *
   * @param waiting texts that wait to go to the network
   * @param oldest how long the first of them has been due; zero for none
   */
  public record Outbox(int waiting, Duration oldest) {}

  /** How the outbox stands now. */
  public Outbox outbox() {
    Instant first = outbox.findFirstDue();
    Instant now = clock.instant();
    boolean late = first != null && first.isBefore(now);
    return new Outbox(outbox.count(), late ? Duration.between(first, now) : Duration.ZERO);
  }
}
