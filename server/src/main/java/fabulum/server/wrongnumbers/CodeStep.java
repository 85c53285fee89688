package fabulum.server.wrongnumbers;

import fabulum.core.sending.Author.Purpose;
import fabulum.core.wrongnumber.RightNumberCode;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.Matching;
import fabulum.server.conversations.ReceivedText;
import fabulum.server.conversations.Said;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Customers;
import fabulum.server.customers.Holdings;
import fabulum.server.customers.IdentifyingKind;
import fabulum.server.customers.NumberId;
import fabulum.server.customers.Profiles;
import fabulum.server.messaging.ArrivalStep;
import fabulum.server.messaging.Messaging;
import fabulum.server.messaging.Recipient;
import fabulum.server.wrongnumbers.store.WrongNumberMapper;
import fabulum.server.wrongnumbers.store.WrongNumberMapper.AskRow;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * A text with a code proves from which phone a customer wants to be texted: the number is theirs
 * since, and the wrong one is not. Guessing is counted, and after some tries proves nothing.
 */
@Component
@Order(2)
class CodeStep implements ArrivalStep {
  private static final long ALL = 0;

  private final WrongNumberMapper rows;
  private final Proving proving;
  private final Customers customers;
  private final Bookkeeping books;

  CodeStep(WrongNumberMapper rows, Proving proving, Customers customers, Bookkeeping books) {
    this.rows = rows;
    this.proving = proving;
    this.customers = customers;
    this.books = books;
  }

  @Override
  public Optional<Doing> read(ReceivedText text) {
    Optional<String> code =
        text.participants().isGroup() || text.from().answerable().isEmpty()
            ? Optional.empty()
            : RightNumberCode.read(text.words());
    return code.flatMap(one -> proved(one, text)).map(ask -> new Proved(ask, text));
  }

  /** What a code proves; a try in vain is counted, and looks to its sender like any other text. */
  private Optional<AskRow> proved(String code, ReceivedText text) {
    NumberId number = customers.numberOf(text.from());
    Instant now = books.now();
    Instant since = now.minus(RightNumberCode.COUNTED);
    boolean counts =
        RightNumberCode.counts(rows.countTries(number.value(), since), rows.countTries(ALL, since));
    Optional<AskRow> ask =
        counts
            ? rows.findByCode(code)
                .filter(one -> one.usedAt() == null && now.isBefore(one.expiresAt()))
                .filter(one -> one.lineId() == text.line().value())
                .filter(one -> rows.use(one.id(), number.value(), now) > 0)
            : Optional.empty();
    if (ask.isEmpty()) {
      if (rows.addTry(number.value(), since, now) == 0) {
        rows.insertTry(number.value(), now);
      }
      rows.addTry(ALL, since, now);
    }
    return ask;
  }

  private final class Proved implements Doing {
    private final AskRow ask;
    private final ReceivedText text;

    Proved(AskRow ask, ReceivedText text) {
      this.ask = ask;
      this.text = text;
    }

    @Override
    public boolean isSettled() {
      return true;
    }

    @Override
    public List<Long> act(ConversationId id) {
      return proving.prove(ask, id, customers.numberOf(text.from()));
    }
  }

  /** Makes a number that was proved a customer's. */
  @Component
  static class Proving {
    private final Holdings holdings;
    private final Matching matching;
    private final Profiles profiles;
    private final Messaging messaging;
    private final Customers customers;
    private final Bookkeeping books;

    Proving(
        Holdings holdings,
        Matching matching,
        Profiles profiles,
        Messaging messaging,
        Customers customers,
        Bookkeeping books) {
      this.holdings = holdings;
      this.matching = matching;
      this.profiles = profiles;
      this.messaging = messaging;
      this.customers = customers;
      this.books = books;
    }

    List<Long> prove(AskRow ask, ConversationId id, NumberId number) {
      CustomerId customer = new CustomerId(ask.customerId());
      NumberId wrong = new NumberId(ask.numberId());
      holdings.hold(number);
      Conversation row = books.row(id);
      long act = holdings.begin(IdentifyingKind.PROVED, number, row.id(), customer, null, null);
      if (!holdings.holders(number).contains(customer.value())) {
        holdings.add(act, number, customer, "mobile", null);
      }
      if (wrong.equals(number)) {
        customers.markRight(number, customer);
      } else {
        holdings.hold(wrong);
        holdings.endNow(act, wrong, customer);
        matching.matchAgain(wrong, Map.of());
      }
      matching.matchAgain(number, Map.of());
      String name = profiles.names(List.of(customer.value())).getOrDefault(customer.value(), "");
      long event = books.event(row, EventKind.RIGHT_NUMBER_PROVED, null, name);
      messaging.send(
          Recipient.in(id),
          Said.itself(Purpose.CODE, "Thank you. We will text you on this number from now on."));
      return List.of(event);
    }
  }
}
