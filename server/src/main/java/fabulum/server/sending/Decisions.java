package fabulum.server.sending;

import fabulum.core.agreement.Agreement;
import fabulum.core.agreement.TextKind;
import fabulum.core.cost.Money;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.phone.Sender;
import fabulum.core.phone.Whereabouts;
import fabulum.core.sending.Author;
import fabulum.core.sending.GroupDecision;
import fabulum.core.sending.SendDecision;
import fabulum.core.sending.SendQuestion;
import fabulum.core.sending.SendQuestion.Allowance;
import fabulum.core.sending.SendQuestion.Content;
import fabulum.core.sending.SendQuestion.From;
import fabulum.core.sending.SendQuestion.Lately;
import fabulum.core.sending.SendQuestion.NumberState;
import fabulum.core.sending.SendQuestion.To;
import fabulum.core.sending.SendRules;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.EntryId;
import fabulum.server.cost.Costs;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberFacts;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.sending.Circumstances.Known;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The one decision before anything goes, with what is known of line, number and customer. */
@Service
public class Decisions {
  private final Lines lines;
  private final Customers customers;
  private final Agreements agreements;
  private final SendSetup setup;
  private final Circumstances circumstances;
  private final Costs costs;
  private final Clock clock;
  private final Whereabouts whereabouts = new Whereabouts();

  Decisions(
      Lines lines,
      Customers customers,
      Agreements agreements,
      SendSetup setup,
      Circumstances circumstances,
      Costs costs,
      Clock clock) {
    this.lines = lines;
    this.customers = customers;
    this.agreements = agreements;
    this.setup = setup;
    this.circumstances = circumstances;
    this.costs = costs;
    this.clock = clock;
  }

  /**
   * What was decided about a text.
   *
   * @param content as it would leave
   * @param cost what it would cost; empty where no price holds
   * @param allowances those it is counted in
   * @param numbers to which it would go, as far as they were heard of
   */
  public record Decided(
      SendDecision decision,
      Content content,
      Optional<Money> cost,
      List<Allowance> allowances,
      List<NumberId> numbers) {
    public Decided {
      allowances = List.copyOf(allowances);
      numbers = List.copyOf(numbers);
    }

    boolean hasAppended(SendSettings settings) {
      String words = settings.appended(content.kind()).words();
      return !words.isBlank()
          && content.leaving().length() > content.typed().length()
          && content.leaving().endsWith("\n" + words);
    }
  }

  /** Whether a text may go from a line to a number, in the conversation they have, if any. */
  public Decided decide(
      Wanted wanted, LineId line, Sender other, Optional<Conversation> conversation) {
    Instant planned = wanted.at();
    Instant now = planned == null ? clock.instant() : planned;
    SendSettings settings = setup.get();
    LineView from = lines.get(line);
    if (conversation.filter(Conversation::isGroup).isPresent()) {
      return decideGroup(wanted, from, conversation.get(), settings, now);
    }
    Optional<NumberFacts> facts =
        customers.facts(
            other, conversation.map(Conversation::customerId).map(CustomerId::new).orElse(null));
    Content content = circumstances.content(wanted, from, facts.stream().toList(), settings);
    Text text = new Text(wanted, from, content, isAnswer(conversation, planned), now);
    List<Allowance> counting = counting(text);
    SendDecision decision = decide(text, other, facts, counting, settings);
    return decided(
        decision, text, counting, facts.stream().map(known -> new NumberId(known.id())).toList());
  }

  /** What is asked about the same way for each number it would go to. */
  private record Text(
      Wanted wanted, LineView line, Content content, boolean answering, Instant now) {}

  private SendDecision decide(
      Text text,
      Sender to,
      Optional<NumberFacts> facts,
      List<Allowance> counting,
      SendSettings settings) {
    Wanted wanted = text.wanted();
    SendQuestion question =
        new SendQuestion(
            text.content(),
            wanted.author(),
            from(text.line()),
            to(to, text.line(), facts, text.answering(), text.now()),
            new Lately(
                circumstances.same(wanted, facts, settings.policy()),
                wanted.answered(),
                counting,
                wanted.author().recipients()),
            text.now());
    return SendRules.decide(question, settings.policy());
  }

  private List<Allowance> counting(Text text) {
    return writer(text.wanted().author())
        .map(by -> costs.allowances(by, text.line()))
        .orElse(List.of());
  }

  private Decided decided(
      SendDecision decision, Text text, List<Allowance> counting, List<NumberId> numbers) {
    int parts = decision.parts();
    return new Decided(
        decision,
        text.content(),
        parts == 0 ? Optional.empty() : costs.textOut(text.line(), parts, text.now()),
        counting,
        numbers);
  }

  private Decided decideGroup(
      Wanted wanted, LineView from, Conversation row, SendSettings settings, Instant now) {
    List<Known> members = circumstances.members(row, new Region(from.region()));
    Content content =
        circumstances.content(wanted, from, members.stream().map(Known::facts).toList(), settings);
    Text text = new Text(wanted, from, content, isAnswer(Optional.of(row), wanted.at()), now);
    List<GroupDecision.Member> asked =
        members.stream()
            .map(one ->
                new GroupDecision.Member(
                    one.sender(),
                    one.name(),
                    decide(text, one.sender(), Optional.of(one.facts()), List.of(), settings)))
            .toList();
    List<Allowance> counting = counting(text);
    GroupDecision group =
        GroupDecision.of(asked, circumstances.isFirst(row), counting, settings.policy());
    return decided(
        group.decision(),
        text,
        counting,
        members.stream()
            .filter(one -> group.reached().contains(one.sender()))
            .map(one -> new NumberId(one.facts().id()))
            .toList());
  }

  private static Optional<StaffId> writer(Author author) {
    return author.writer().isPresent()
        ? Optional.of(new StaffId(author.writer().getAsLong()))
        : Optional.empty();
  }

  /**
   * Holds what texts of an author from a line are counted in. To be used first within the
   * transaction that sends one.
   */
  public void hold(Author author, LineId line) {
    writer(author).ifPresent(by -> costs.hold(by, lines.get(line)));
  }

  /** Counts a text that goes. To be used within the transaction that sends it. */
  public void goes(Decided decided, Author author, LineId line, List<NumberId> to, EntryId entry) {
    int parts = decided.decision().parts();
    costs.count(writer(author), lines.get(line), clock.instant(), 1, parts);
    if (decided.hasAppended(setup.get())) {
      to.forEach(number -> circumstances.appended(number, decided.content().kind(), entry));
    }
  }

  /**
   * Counts a text no more, because it never left. To be used within the transaction that takes it
   * out of the outbox.
   *
   * @param writer empty for the program itself
   * @param at when it was sent
   */
  public void staysHere(
      Optional<StaffId> writer, LineId line, EntryId entry, Instant at, int parts) {
    costs.count(writer, lines.get(line), at, -1, -parts);
    circumstances.notAppended(entry);
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
    Set<Region> reaches =
        line.reaches().stream().map(Region::new).collect(Collectors.toUnmodifiableSet());
    return new From(
        line.inUse(),
        line.registered(),
        circumstances.isNetworkWaiting(),
        line.mostParts(),
        reaches,
        circumstances.canLink() ? line.carries() : Set.of(),
        line.mostOctets());
  }

  /** Whether the customer's own text precedes it; who waits now has had an answer by then. */
  private boolean isAnswer(Optional<Conversation> conversation, @Nullable Instant planned) {
    return conversation
        .filter(row ->
            planned == null
                ? circumstances.isAnswered(row)
                : circumstances.isAnsweredAt(row, planned))
        .isPresent();
  }

  private To to(
      Sender other, LineView line, Optional<NumberFacts> facts, boolean isAnswer, Instant now) {
    Optional<PhoneNumber> number = other.answerable();
    LineId id = new LineId(line.id());
    ZoneId there = number.flatMap(whereabouts::zone).orElseGet(() -> ZoneId.of(line.zone()));
    return new To(
        other,
        number.flatMap(whereabouts::country),
        facts.map(NumberFacts::state).orElse(NumberState.GOOD),
        facts.map(known -> agreements.of(known, id)).orElse(Agreement.UNKNOWN),
        facts.map(NumberFacts::firstWroteAt).isPresent(),
        isAnswer,
        there,
        lines.promise(id).hours().closedDays().contains(LocalDate.ofInstant(now, there)));
  }
}
