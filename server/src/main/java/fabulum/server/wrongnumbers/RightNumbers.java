package fabulum.server.wrongnumbers;

import fabulum.core.conversation.Participants;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Sender;
import fabulum.core.sending.Author.Purpose;
import fabulum.core.sending.SendQuestion.NumberState;
import fabulum.core.wrongnumber.RightNumberCode;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.Said;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Customers;
import fabulum.server.customers.HeldNumber;
import fabulum.server.customers.Holdings;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.mail.Mail;
import fabulum.server.messaging.Messaging;
import fabulum.server.messaging.Recipient;
import fabulum.server.wrongnumbers.store.WrongNumberMapper;
import java.security.SecureRandom;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Asks a customer for the right number on another way that they have. */
@Component
class RightNumbers {
  private static final int TRIES = 50;

  private final WrongNumberMapper rows;
  private final Customers customers;
  private final Holdings holdings;
  private final Messaging messaging;
  private final Mail mail;
  private final Lines lines;
  private final Bookkeeping books;
  private final SecureRandom random = new SecureRandom();

  RightNumbers(
      WrongNumberMapper rows,
      Customers customers,
      Holdings holdings,
      Messaging messaging,
      Mail mail,
      Lines lines,
      Bookkeeping books) {
    this.rows = rows;
    this.customers = customers;
    this.holdings = holdings;
    this.messaging = messaging;
    this.mail = mail;
    this.lines = lines;
    this.books = books;
  }

  /** On which way a customer is asked. */
  enum Way {
    MAIL,
    TEXT,
    /** They have none: a person must find the right number. */
    NONE
  }

  /**
   * Asks, within a transaction.
   *
   * @param row the conversation with the wrong number
   * @return the event that says so
   */
  long ask(Conversation row, CustomerId customer) {
    LineView line = lines.get(new LineId(row.lineId()));
    String code = code();
    String asking =
        "The number we have for you does not seem to be yours. Text "
            + code
            + " to "
            + line.shownNumber()
            + " from the phone we should use. This works for "
            + RightNumberCode.WORKS.toDays()
            + " days.";
    Way way = go(row, customer, line, code, asking);
    if (way != Way.NONE) {
      Instant now = books.now();
      rows.endOthers(row.numberId(), customer.value(), now);
      rows.insert(
          code,
          customer.value(),
          row.numberId(),
          row.id(),
          row.lineId(),
          way.name(),
          now,
          now.plus(RightNumberCode.WORKS));
    }
    return books.event(row, EventKind.RIGHT_NUMBER_ASKED, null, way.name());
  }

  private Way go(Conversation row, CustomerId customer, LineView line, String code, String asking) {
    Optional<String> address = mail.isSetUp() ? rows.findEmail(customer.value()) : Optional.empty();
    if (address.isPresent()) {
      mail.send(
          address.get(),
          line.site() + ": your phone number",
          asking + "\n\n" + line.site(),
          "right-number-" + code);
      return Way.MAIL;
    }
    for (HeldNumber held : holdings.of(customer)) {
      if (isOther(held, row, customer) && texted(held, row, asking)) {
        return Way.TEXT;
      }
    }
    return Way.NONE;
  }

  private boolean isOther(HeldNumber held, Conversation row, CustomerId customer) {
    return held.heldUntil() == null
        && held.numberId() != row.numberId()
        && customers
            .facts(Sender.ofAddress(held.address()), customer)
            .filter(facts -> facts.state() == NumberState.GOOD)
            .isPresent();
  }

  private boolean texted(HeldNumber held, Conversation row, String asking) {
    if (!(Sender.ofAddress(held.address()) instanceof PhoneNumber number)) {
      return false;
    }
    return messaging
        .send(
            Recipient.on(new LineId(row.lineId()), Participants.of(number)),
            Said.itself(Purpose.CODE, asking))
        .text()
        .isPresent();
  }

  private String code() {
    for (int i = 0; i < TRIES; i++) {
      String code = RightNumberCode.of(random.nextInt(RightNumberCode.MANY));
      if (RightNumberCode.isGiven(code) && rows.findByCode(code).isEmpty()) {
        return code;
      }
    }
    throw new IllegalStateException("No code is free");
  }

  /** Whether there is a way to ask them. */
  List<Way> ways(Conversation row, CustomerId customer) {
    boolean byMail = mail.isSetUp() && rows.findEmail(customer.value()).isPresent();
    boolean byText = holdings.of(customer).stream().anyMatch(held -> isOther(held, row, customer));
    return byMail ? List.of(Way.MAIL) : byText ? List.of(Way.TEXT) : List.of();
  }
}
