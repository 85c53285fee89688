package fabulum.server.sending;

import fabulum.core.agreement.Agreement;
import fabulum.core.agreement.TextKind;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Sender;
import fabulum.core.phone.Whereabouts;
import fabulum.core.sending.Author;
import fabulum.core.sending.SendDecision;
import fabulum.core.sending.SendPolicy;
import fabulum.core.sending.SendQuestion;
import fabulum.core.sending.SendQuestion.Content;
import fabulum.core.sending.SendQuestion.From;
import fabulum.core.sending.SendQuestion.Lately;
import fabulum.core.sending.SendQuestion.NumberState;
import fabulum.core.sending.SendQuestion.Sent;
import fabulum.core.sending.SendQuestion.To;
import fabulum.core.sending.SendRules;
import fabulum.server.conversations.Conversation;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberFacts;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.platform.Troubles;
import fabulum.server.sending.store.LatelyMapper;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The one decision before anything goes, with what is known of line, number and customer. */
@Service
public class Decisions {
  /** A text is an answer for so long after the customer's last one. */
  private static final Duration ANSWERING = Duration.ofDays(1);

  private final Lines lines;
  private final Customers customers;
  private final Agreements agreements;
  private final SendSetup setup;
  private final LatelyMapper lately;
  private final Troubles troubles;
  private final Clock clock;
  private final Whereabouts whereabouts = new Whereabouts();

  Decisions(
      Lines lines,
      Customers customers,
      Agreements agreements,
      SendSetup setup,
      LatelyMapper lately,
      Troubles troubles,
      Clock clock) {
    this.lines = lines;
    this.customers = customers;
    this.agreements = agreements;
    this.setup = setup;
    this.lately = lately;
    this.troubles = troubles;
    this.clock = clock;
  }

  /**
   * A text that its author would send.
   *
   * @param reference of the text, when it has one already; null while it is being written
   */
  public record Wanted(String words, Author author, @Nullable String reference) {}

  /** Whether a text may go from a line to a number, in the conversation they have, if any. */
  public SendDecision decide(
      Wanted wanted, LineId line, Sender other, Optional<Conversation> conversation) {
    Instant now = clock.instant();
    SendPolicy policy = setup.get().policy();
    LineView from = lines.get(line);
    Optional<NumberFacts> facts = customers.facts(other);
    SendQuestion question =
        new SendQuestion(
            Content.of(wanted.words()),
            wanted.author(),
            from(from),
            to(other, from, facts, conversation, now),
            new Lately(same(wanted, facts, policy, now), Optional.empty(), List.of(), 1),
            now);
    return SendRules.decide(question, policy);
  }

  /** Whether the holders of a number opted out of texts from a line. */
  public boolean hasOptedOut(Sender other, LineId line) {
    return customers
        .facts(other)
        .map(facts -> agreements.of(facts, line).of(TextKind.SERVICE).answer())
        .filter(answer -> answer == Agreement.Answer.OPTED_OUT)
        .isPresent();
  }

  private From from(LineView line) {
    boolean waits = troubles.list().stream().anyMatch(each -> each.kind() == Troubles.Kind.NETWORK);
    return new From(
        line.inUse(), line.registered(), waits, line.mostParts(), Set.of(), Set.of(), 0);
  }

  private To to(
      Sender other,
      LineView line,
      Optional<NumberFacts> facts,
      Optional<Conversation> conversation,
      Instant now) {
    Optional<PhoneNumber> number = other.answerable();
    return new To(
        other,
        number.flatMap(whereabouts::country),
        facts.map(NumberFacts::state).orElse(NumberState.GOOD),
        facts.map(known -> agreements.of(known, new LineId(line.id()))).orElse(Agreement.UNKNOWN),
        facts.map(NumberFacts::firstWroteAt).isPresent(),
        conversation.filter(row -> isAnswered(row, now)).isPresent(),
        number.flatMap(whereabouts::zone).orElseGet(() -> ZoneId.of(line.zone())),
        false);
  }

  private boolean isAnswered(Conversation row, Instant now) {
    return row.state().waitingSince().isPresent()
        || lately.existsReceived(row.id(), now.minus(ANSWERING));
  }

  private Optional<Sent> same(
      Wanted wanted, Optional<NumberFacts> facts, SendPolicy policy, Instant now) {
    if (wanted.words().isBlank() || policy.sameTextWithin().isZero()) {
      return Optional.empty();
    }
    Instant since = now.minus(policy.sameTextWithin());
    return facts
        .flatMap(known -> lately.findSame(known.id(), wanted.words(), since, wanted.reference()))
        .map(row -> new Sent(row.at(), row.writer() == null ? "Fabulum" : row.writer()));
  }
}
