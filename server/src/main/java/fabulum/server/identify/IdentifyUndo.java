package fabulum.server.identify;

import fabulum.core.access.Act;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.Matching;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Holdings;
import fabulum.server.customers.Identifying;
import fabulum.server.customers.IdentifyingKind;
import fabulum.server.customers.Joins;
import fabulum.server.customers.NumberId;
import fabulum.server.platform.Problem;
import fabulum.server.platform.RaceRetry;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Takes back what was said of numbers and customers, exactly and however much later. Doing it twice
 * does it once.
 */
@Service
public class IdentifyUndo {
  private final InSight inSight;
  private final Bookkeeping books;
  private final Matching matching;
  private final Holdings holdings;
  private final Joins joins;
  private final Permits permits;
  private final TransactionTemplate transactions;

  IdentifyUndo(
      InSight inSight,
      Bookkeeping books,
      Matching matching,
      Holdings holdings,
      Joins joins,
      Permits permits,
      TransactionTemplate transactions) {
    this.inSight = inSight;
    this.books = books;
    this.matching = matching;
    this.holdings = holdings;
    this.joins = joins;
    this.permits = permits;
    this.transactions = transactions;
  }

  /** Takes an act back. */
  public void undo(long act, StaffId by) {
    permits.require(by, Act.WORK);
    RaceRetry.run(() ->
        transactions.execute(status -> {
          Identifying done = holdings.findAct(act).orElseThrow(() -> Problem.notFound("step"));
          if (done.kind() == IdentifyingKind.JOINED) {
            undoJoin(done, by);
          } else {
            undoOfNumber(done, by);
          }
          return done;
        }));
  }

  private boolean isUndone(long act) {
    return holdings.findAct(act).filter(one -> one.undoneAt() == null).isEmpty();
  }

  private void undoOfNumber(Identifying done, StaffId by) {
    Long numberId = done.numberId();
    if (numberId == null) {
      throw Problem.notFound("step");
    }
    NumberId number = new NumberId(numberId);
    holdings.hold(number);
    Conversation row = shown(done.conversationId(), by);
    if (isUndone(done.id())) {
      return;
    }
    if (holdings.isReliedOn(done.id())) {
      throw Problem.conflict(
          Problem.Kind.CHANGED_MEANWHILE,
          "More was said or noted of this customer since. Take that back first; nothing was changed.");
    }
    List<NumberId> numbers = holdings.numbersOf(done.id());
    holdings.undo(done.id(), by.value());
    numbers.stream()
        .filter(other -> !other.equals(number))
        .forEach(other -> matching.matchAgain(other, Map.of()));
    matching.matchAgain(number, event(row, by));
    holdings.removeMade(done.id());
  }

  private @Nullable Conversation shown(@Nullable Long conversation, StaffId by) {
    return conversation == null ? null : inSight.lock(new ConversationId(conversation), by);
  }

  private Map<Long, List<Long>> event(@Nullable Conversation row, StaffId by) {
    if (row == null) {
      return Map.of();
    }
    List<Long> touched = new ArrayList<>(books.undoIdentified(row));
    touched.add(books.event(row, EventKind.IDENTIFYING_UNDONE, by, null));
    return Map.of(row.id(), touched);
  }

  private void undoJoin(Identifying done, StaffId by) {
    Long stayed = done.customerId();
    if (stayed == null || isUndone(done.id())) {
      return;
    }
    CustomerId stays = new CustomerId(stayed);
    boolean there = joins.hold(List.of(stays)).contains(stays);
    if (!there || joins.isReliedOn(done.id(), stays)) {
      throw Problem.conflict(
          Problem.Kind.CHANGED_MEANWHILE,
          "More was said of this customer's numbers since they were joined. Take that back first; nothing was changed.");
    }
    CustomerId gone = joins.goneBy(done.id());
    Set<NumberId> numbers = new LinkedHashSet<>(joins.numbersOf(stays));
    numbers.forEach(holdings::hold);
    joins.undo(done.id(), stays);
    holdings.undo(done.id(), by.value());
    Stream.concat(numbers.stream(), joins.numbersOf(gone).stream())
        .distinct()
        .forEach(number -> matching.matchAgain(number, Map.of()));
  }
}
