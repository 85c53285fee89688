package fabulum.server.messaging;

import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.conversations.Conversations.Received;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.ReceivedText;
import fabulum.server.messaging.ArrivalStep.Doing;
import fabulum.server.messaging.store.TextMapper;
import fabulum.server.ownership.Assignment;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The one way in: a text is taken in, given an owner and told of, in one transaction. */
@Service
public class Arrivals {
  private final TextMapper texts;
  private final Conversations conversations;
  private final Assignment assignment;
  private final Bookkeeping books;
  private final List<ArrivalStep> steps;
  private final IncomingCost cost;
  private final Groups groups;

  Arrivals(
      TextMapper texts,
      Conversations conversations,
      Assignment assignment,
      Bookkeeping books,
      List<ArrivalStep> steps,
      IncomingCost cost,
      Groups groups) {
    this.texts = texts;
    this.conversations = conversations;
    this.assignment = assignment;
    this.books = books;
    this.steps = List.copyOf(steps);
    this.cost = cost;
    this.groups = groups;
  }

  /**
   * Takes in a text from a customer.
   *
   * @return false when it was already here
   */
  @Transactional
  public boolean receive(ReceivedText arrived) {
    if (texts.existsReceived(arrived.networkId())) {
      return false;
    }
    ReceivedText text = groups.placed(arrived);
    boolean history = text.when().history();
    Optional<Doing> asked = history ? Optional.empty() : asked(text);
    boolean waits = !history && asked.filter(Doing::isSettled).isEmpty();
    Received received = conversations.receive(text, waits, cost.of(text));
    List<Long> touched = new ArrayList<>(received.touched());
    asked.ifPresent(it -> touched.addAll(it.act(received.id())));
    if (waits) {
      touched.addAll(assignment.arrived(received.id(), received.newWait()));
    }
    books.changed(received.id().value(), touched);
    return true;
  }

  /**
   * Takes in an enquiry from the web site as a text of the number it names, and says so in the
   * script. No keyword in it means anything, because the person who filled in the form may not hold
   * the number.
   *
   * @param form the name of the form
   * @return the conversation; empty when the enquiry was already here
   */
  @Transactional
  public Optional<ConversationId> receiveEnquiry(ReceivedText text, String form) {
    if (texts.existsReceived(text.networkId())) {
      return Optional.empty();
    }
    Received received = conversations.receive(text, true, Optional.empty());
    List<Long> touched = new ArrayList<>(received.touched());
    touched.add(books.event(books.row(received.id()), EventKind.WEB_ENQUIRY, null, form));
    touched.addAll(assignment.arrived(received.id(), received.newWait()));
    books.changed(received.id().value(), touched);
    return Optional.of(received.id());
  }

  private Optional<Doing> asked(ReceivedText text) {
    return steps.stream().flatMap(step -> step.read(text).stream()).findFirst();
  }

  /** When the newest text the network told us of was received. */
  Optional<Instant> findLastReceived() {
    return Optional.ofNullable(texts.findLastReceived());
  }
}
