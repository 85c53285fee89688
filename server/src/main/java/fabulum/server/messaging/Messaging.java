package fabulum.server.messaging;

import fabulum.core.access.Act;
import fabulum.core.sending.Author;
import fabulum.core.sending.Author.Lane;
import fabulum.core.sending.SendDecision;
import fabulum.core.sending.SendRules;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.Said;
import fabulum.server.lines.Lines;
import fabulum.server.messaging.Saying.Ends;
import fabulum.server.messaging.store.OutboxMapper;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sending texts. */
@Service
public class Messaging {
  private final Saying saying;
  private final Lines lines;
  private final Permits permits;
  private final Conversations conversations;
  private final OutboxMapper outbox;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Messaging(
      Saying saying,
      Lines lines,
      Permits permits,
      Conversations conversations,
      OutboxMapper outbox,
      ApplicationEventPublisher events,
      Clock clock) {
    this.saying = saying;
    this.lines = lines;
    this.permits = permits;
    this.conversations = conversations;
    this.outbox = outbox;
    this.events = events;
    this.clock = clock;
  }

  /**
   * The one way out. The text and its place in the outbox are committed together, and it goes out
   * soon after, or at its time. Sending again under the same reference sends nothing more.
   *
   * @return whether it may go; if not, nothing was changed
   */
  @Transactional
  public SendDecision send(Recipient to, Said said) {
    Author author = said.author();
    // Not seen is not there, so sight comes before permission.
    Ends ends = ends(to, author);
    author.writer().ifPresent(by -> permits.require(new StaffId(by), Act.TEXT));
    SendDecision decision =
        SendRules.decide(said.words(), ends.other(), lines.get(ends.line()).inUse());
    if (decision instanceof SendDecision.Allowed) {
      ConversationId conversation = conversation(to);
      saying.say(conversation, said).ifPresent(entry -> putIntoOutbox(entry, conversation, said));
    }
    return decision;
  }

  private Ends ends(Recipient to, Author author) {
    return to instanceof Recipient.OnLine numbers
        ? new Ends(numbers.from(), numbers.others().members().get(0))
        : saying.ends(conversation(to), author);
  }

  private ConversationId conversation(Recipient to) {
    return to instanceof Recipient.OnLine numbers
        ? conversations.open(numbers.from(), numbers.others())
        : ((Recipient.InConversation) to).id();
  }

  private void putIntoOutbox(EntryId entry, ConversationId conversation, Said said) {
    Instant now = clock.instant();
    Instant when = said.when() == null || said.when().isBefore(now) ? now : said.when();
    Lane lane = said.author().effect().lane();
    outbox.insert(entry.value(), conversation.value(), lane, when);
    if (lane == Lane.SINGLE) {
      // Texts of one conversation go in order, so earlier ones must not wait in the other lane.
      outbox.moveUp(conversation.value());
    }
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
