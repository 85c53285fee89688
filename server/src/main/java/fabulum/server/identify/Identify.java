package fabulum.server.identify;

import fabulum.core.text.OneLine;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.Matching;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Holdings;
import fabulum.server.customers.IdentifyingKind;
import fabulum.server.customers.NumberId;
import fabulum.server.customers.Profiles;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.RaceRetry;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What people say of who writes. It holds for all texts of the number in the time it is true for,
 * shows at once for everyone, and can be taken back exactly, however much later.
 *
 * @see IdentifyUndo
 */
@Service
public class Identify {
  private static final int LONGEST_NAME = 160;

  private final InSight inSight;
  private final Bookkeeping books;
  private final Matching matching;
  private final Holdings holdings;
  private final Profiles profiles;
  private final TransactionTemplate transactions;

  Identify(
      InSight inSight,
      Bookkeeping books,
      Matching matching,
      Holdings holdings,
      Profiles profiles,
      TransactionTemplate transactions) {
    this.inSight = inSight;
    this.books = books;
    this.matching = matching;
    this.holdings = holdings;
    this.profiles = profiles;
    this.transactions = transactions;
  }

  /**
   * Which texts of several holders a person speaks of.
   *
   * @see #oneOfSeveral
   */
  public enum Scope {
    /** One text. */
    TEXT,
    /** This conversation from now on. */
    CONVERSATION,
    /** All texts of the number. */
    ALWAYS
  }

  /** Why texts are not for us. */
  public enum Reason {
    /** The writer has the wrong number. */
    WRONG_NUMBER,
    /** Advertising and the like. */
    JUNK
  }

  /** The act that it was, to take it back by. */
  public record Done(long act) {}

  /**
   * It is a customer on file.
   *
   * @param shared whether others who have the number keep it; else it is theirs alone from when
   *     this conversation was opened
   * @param givesUp a number of theirs that is no longer theirs since then; null for none
   * @param seen the holders that the page showed
   */
  public Done customer(
      ConversationId id,
      CustomerId customer,
      boolean shared,
      @Nullable NumberId givesUp,
      List<Long> seen,
      StaffId by) {
    String name = name(customer);
    return act(
        id,
        seen,
        by,
        row -> {
          NumberId number = new NumberId(row.numberId());
          long act = begin(IdentifyingKind.CUSTOMER, row, customer, null, by);
          Instant since = row.openedAt();
          if (!shared) {
            holdings.everHeld(number).stream()
                .filter(one -> !one.equals(customer))
                .forEach(one -> holdings.end(act, number, one, since));
          }
          holdings.give(act, number, customer, shared ? null : since, shared ? "shared" : null);
          if (givesUp != null) {
            holdings.hold(givesUp);
            holdings.end(act, givesUp, customer, since);
            matching.matchAgain(givesUp, Map.of());
          }
          said(row, number, EventKind.IDENTIFIED, name, by);
          return act;
        });
  }

  /** It is a customer who is not on file yet. */
  public Done newCustomer(ConversationId id, String name, List<Long> seen, StaffId by) {
    String stripped = name.strip();
    if (stripped.isEmpty() || stripped.length() > LONGEST_NAME) {
      throw field("name", "A name has 1 to " + LONGEST_NAME + " characters.");
    }
    OneLine.objection(stripped)
        .ifPresent(why -> {
          throw field("name", why);
        });
    return act(
        id,
        seen,
        by,
        row -> {
          NumberId number = new NumberId(row.numberId());
          long act = begin(IdentifyingKind.NEW_CUSTOMER, row, null, null, by);
          CustomerId made = holdings.newCustomer(act, stripped);
          holdings.give(act, number, made, null, null);
          said(row, number, EventKind.IDENTIFIED, stripped, by);
          return act;
        });
  }

  /**
   * Of several holders, one of them writes.
   *
   * @param text which one, for {@link Scope#TEXT}
   */
  public Done oneOfSeveral(
      ConversationId id,
      CustomerId customer,
      Scope scope,
      @Nullable EntryId text,
      List<Long> seen,
      StaffId by) {
    String name = name(customer);
    return act(
        id,
        seen,
        by,
        row -> {
          NumberId number = new NumberId(row.numberId());
          if (!holdings.holders(number).contains(customer.value())) {
            throw Problem.conflict(
                Problem.Kind.CHANGED_MEANWHILE,
                name + " does not have this number any more. Nothing was changed.");
          }
          long act = begin(IdentifyingKind.ONE_OF_SEVERAL, row, customer, scope.name(), by);
          switch (scope) {
            case TEXT -> holdings.say(act, number, customer, row.id(), textOf(row, text), null);
            case CONVERSATION ->
                holdings.say(act, number, customer, row.id(), null, row.openedAt());
            case ALWAYS -> holdings.say(act, number, customer, null, null, null);
          }
          said(row, number, EventKind.IDENTIFIED, name, by);
          return act;
        });
  }

  private long textOf(Conversation row, @Nullable EntryId text) {
    return text == null
        ? lastReceived(row)
        : books
            .findEntry(text.value())
            .filter(entry -> entry.conversationId() == row.id() && entry.kind() == EntryKind.IN)
            .map(Entry::id)
            .orElseThrow(() -> Problem.notFound("text"));
  }

  private long lastReceived(Conversation row) {
    return books.listNewest(new ConversationId(row.id()), null, null, 100).stream()
        .filter(entry -> entry.kind() == EntryKind.IN)
        .findFirst()
        .map(Entry::id)
        .orElseThrow(() -> Problem.notFound("text"));
  }

  /** The texts are not for us: they leave the list, and further ones stay where they are. */
  public Done notForUs(ConversationId id, Reason reason, List<Long> seen, StaffId by) {
    return act(
        id,
        seen,
        by,
        row -> {
          NumberId number = new NumberId(row.numberId());
          long act = begin(IdentifyingKind.NOT_FOR_US, row, null, reason.name(), by);
          holdings.notForUs(act, number, reason.name());
          said(row, number, EventKind.NOT_FOR_US, reason.name(), by);
          return act;
        });
  }

  private Done act(
      ConversationId id, List<Long> seen, StaffId by, Function<Conversation, Long> what) {
    return RaceRetry.run(() ->
        transactions.execute(status -> {
          Conversation row = inSight.row(id, by);
          InSight.requireOneNumber(row);
          NumberId number = new NumberId(row.numberId());
          // The number first, as a text that comes in holds it: in another order they would wait
          // for each other.
          holdings.hold(number);
          Conversation held = inSight.lock(id, by);
          requireAsSeen(number, seen);
          return new Done(what.apply(held));
        }));
  }

  /**
   * Two people identify one number at once: the second is told, and nothing of the first is lost.
   */
  private void requireAsSeen(NumberId number, List<Long> seen) {
    List<Long> now = holdings.holders(number);
    if (!now.equals(seen.stream().distinct().sorted().toList())) {
      String names = String.join(", ", profiles.names(now).values());
      throw Problem.conflict(
          Problem.Kind.CHANGED_MEANWHILE,
          names.isEmpty()
              ? "A colleague has just taken back whose number this is. Nothing was changed; please look again."
              : "A colleague has just said whose number this is: "
                  + names
                  + ". Nothing was changed; please look again.");
    }
  }

  private long begin(
      IdentifyingKind kind,
      Conversation row,
      @Nullable CustomerId customer,
      @Nullable String words,
      StaffId by) {
    return holdings.begin(
        kind, new NumberId(row.numberId()), row.id(), customer, words, by.value());
  }

  private void said(
      Conversation row, NumberId number, EventKind kind, @Nullable String words, StaffId by) {
    boolean first = kind == EventKind.IDENTIFIED && row.toIdentify();
    long event =
        first ? books.eventSinceOpened(row, kind, by, words) : books.event(row, kind, by, words);
    matching.matchAgain(number, Map.of(row.id(), List.of(event)));
  }

  private String name(CustomerId customer) {
    String name = profiles.names(List.of(customer.value())).get(customer.value());
    if (name == null) {
      throw Problem.notFound("customer");
    }
    return name;
  }

  private static Problem field(String field, String why) {
    return Problem.fields(List.of(new FieldProblem(field, why)));
  }
}
