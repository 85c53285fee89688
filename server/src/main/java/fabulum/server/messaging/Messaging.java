package fabulum.server.messaging;

import fabulum.core.access.Act;
import fabulum.core.parts.PartCounter;
import fabulum.core.phone.Sender;
import fabulum.core.sending.Author;
import fabulum.core.sending.SendDecision;
import fabulum.core.sending.SendDecision.Verdict;
import fabulum.core.sending.SendQuestion;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.attachments.Attachment;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.Said;
import fabulum.server.lines.LineId;
import fabulum.server.messaging.Saying.Ends;
import fabulum.server.people.People;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.sending.Decisions;
import fabulum.server.sending.Decisions.Decided;
import fabulum.server.sending.Wanted;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sending texts. */
@Service
public class Messaging {
  private final Saying saying;
  private final Posting posting;
  private final Decisions decisions;
  private final Permits permits;
  private final Conversations conversations;
  private final People people;
  private final Clock clock;

  Messaging(
      Saying saying,
      Posting posting,
      Decisions decisions,
      Permits permits,
      Conversations conversations,
      People people,
      Clock clock) {
    this.saying = saying;
    this.posting = posting;
    this.decisions = decisions;
    this.permits = permits;
    this.conversations = conversations;
    this.people = people;
    this.clock = clock;
  }

  /**
   * What came of sending.
   *
   * @param text the entry of the text; empty when nothing went, or it was here already
   * @param pause how long from now its writer can take it back; zero where it leaves at once
   * @param waitsForLook whether it waits for a colleague's yes
   */
  public record Result(
      SendDecision decision, Optional<EntryId> text, Duration pause, boolean waitsForLook) {}

  /**
   * The one way out. The text and its place in the outbox are committed together, and it goes out
   * soon after, or at its time: a person's text after the pause they have set. Texts of people such
   * as newcomers wait for a colleague's yes instead. Sending again under the same reference sends
   * nothing more.
   *
   * @return whether it may go; if not, nothing was changed
   */
  @Transactional
  public Result send(Recipient to, Said said) {
    Author author = said.author();
    // Not seen is not there, so sight comes before permission.
    LineId line = to instanceof Recipient.OnLine numbers ? numbers.from() : ends(to, author).line();
    author.writer().ifPresent(by -> permits.require(new StaffId(by), Act.TEXT));
    decisions.hold(author, line);
    Ends ends = heldEnds(to, author);
    if (saying.isSaid(ends, said)) {
      return nothing(new SendDecision(PartCounter.count(said.words()).count(), List.of()));
    }
    List<Attachment> files = posting.listToSend(ends, said);
    Decided decided =
        decide(ends, Wanted.of(said.words(), author, said.reference().value(), asked(files)));
    SendDecision decision = decided.decision();
    if (decision.verdict(said.confirmed()) != Verdict.MAY_GO) {
      return nothing(decision);
    }
    if (said.looked() != null && !said.looked().equals(decided.content().leaving())) {
      throw Problem.conflict(
          Kind.LOOKS_DIFFERENT,
          "What the customer would see is different by now. Nothing was sent; please look again.");
    }
    if (posting.waitsForLook(author)) {
      posting.askForLook(conversation(to), said);
      return new Result(decision, Optional.empty(), Duration.ZERO, true);
    }
    Instant now = clock.instant();
    Instant at = leavesAt(said, now);
    Optional<EntryId> text = posting.post(conversation(to), said, decided, at);
    return new Result(decision, text, Duration.between(now, at), false);
  }

  private static List<SendQuestion.Attachment> asked(List<Attachment> files) {
    return files.stream()
        .map(one -> new SendQuestion.Attachment(one.name(), one.mediaType(), one.octets()))
        .toList();
  }

  private static Result nothing(SendDecision decision) {
    return new Result(decision, Optional.empty(), Duration.ZERO, false);
  }

  private Instant leavesAt(Said said, Instant now) {
    if (said.when() != null && said.when().isAfter(now)) {
      return said.when();
    }
    return now.plus(pause(said.author()));
  }

  private Duration pause(Author author) {
    return author.pauses() && author.writer().isPresent()
        ? people.pause(new StaffId(author.writer().getAsLong()))
        : Duration.ZERO;
  }

  /** Whether a text may go to the other side of a conversation, as far as its author sees it. */
  public SendDecision check(ConversationId id, Wanted wanted) {
    return look(id, wanted, List.of(), null).decided().decision();
  }

  /**
   * A text as it would leave.
   *
   * @param to the number it would go to; of a group, one of them
   * @param copies how many numbers would get it
   * @param leavesAfter how long it would wait before it leaves
   */
  public record Look(Decided decided, LineId line, Sender to, int copies, Duration leavesAfter) {}

  /**
   * What would leave, and what speaks against it.
   *
   * @param attachments what is to go with it, as far as it is on its writer's paper
   * @param seen the newest entry that its writer saw; null for whatever stands there
   */
  public Look look(ConversationId id, Wanted wanted, List<Long> attachments, @Nullable Long seen) {
    Author author = wanted.author();
    Ends ends = saying.ends(id, author);
    Wanted whole =
        wanted
            .crossing(saying.answered(ends, seen, author))
            .with(asked(posting.listThere(id, author, attachments)));
    Decided decided = decide(ends, whole);
    boolean group = ends.conversation().filter(Conversation::isGroup).isPresent();
    int copies = group ? decided.numbers().size() : 1;
    return new Look(decided, ends.line(), ends.other(), copies, pause(author));
  }

  private Decided decide(Ends ends, Wanted wanted) {
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

  private Ends heldEnds(Recipient to, Author author) {
    return to instanceof Recipient.InConversation known
        ? saying.heldEnds(known.id(), author)
        : ends(to, author);
  }

  private ConversationId conversation(Recipient to) {
    return to instanceof Recipient.OnLine numbers
        ? conversations.open(numbers.from(), numbers.others())
        : ((Recipient.InConversation) to).id();
  }
}
