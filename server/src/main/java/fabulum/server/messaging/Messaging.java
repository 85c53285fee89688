package fabulum.server.messaging;

import fabulum.core.access.Act;
import fabulum.core.parts.PartCounter;
import fabulum.core.sending.Author;
import fabulum.core.sending.Author.Lane;
import fabulum.core.sending.SendDecision;
import fabulum.core.sending.SendDecision.Verdict;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.Said;
import fabulum.server.messaging.Saying.Ends;
import fabulum.server.messaging.store.OutboxMapper;
import fabulum.server.sending.Decisions;
import fabulum.server.sending.Decisions.Wanted;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sending texts. */
@Service
public class Messaging {
  private final Saying saying;
  private final Decisions decisions;
  private final Permits permits;
  private final Conversations conversations;
  private final OutboxMapper outbox;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Messaging(
      Saying saying,
      Decisions decisions,
      Permits permits,
      Conversations conversations,
      OutboxMapper outbox,
      ApplicationEventPublisher events,
      Clock clock) {
    this.saying = saying;
    this.decisions = decisions;
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
    if (saying.isSaid(ends, said)) {
      return new SendDecision(PartCounter.count(said.words()).count(), List.of());
    }
    SendDecision decision =
        decide(ends, new Wanted(said.words(), author, said.reference().value()));
    if (decision.verdict(said.confirmed()) == Verdict.MAY_GO) {
      ConversationId conversation = conversation(to);
      saying.say(conversation, said).ifPresent(entry -> putIntoOutbox(entry, conversation, said));
    }
    return decision;
  }

  /** Whether a text may go to the other side of a conversation, as far as its author sees it. */
  public SendDecision check(ConversationId id, Wanted wanted) {
    return decide(saying.ends(id, wanted.author()), wanted);
  }

  private SendDecision decide(Ends ends, Wanted wanted) {
    return decisions.decide(wanted, ends.line(), ends.other(), ends.conversation());
  }

  private Ends ends(Recipient to, Author author) {
    return to instanceof Recipient.OnLine numbers
        ? new Ends(
            numbers.from(),
            numbers.others().members().get(0),
            conversations.find(numbers.from(), numbers.others()))
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
    boolean owed = said.author().isOwedToOptedOut();
    outbox.insert(entry.value(), conversation.value(), lane, when, owed);
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
