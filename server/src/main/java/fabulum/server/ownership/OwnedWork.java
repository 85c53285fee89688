package fabulum.server.ownership;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.UndoStep;
import fabulum.server.ownership.store.OwnershipMapper;
import fabulum.server.people.People;
import fabulum.server.people.PeopleChanged;
import fabulum.server.platform.Steadily;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * All that someone owns: moved together when they leave, and given back where they see it no
 * longer.
 */
@Service
public class OwnedWork {
  private final OwnershipMapper owners;
  private final Bookkeeping books;
  private final Ownership owning;
  private final Eligible eligible;
  private final People people;
  private final TransactionTemplate transactions;
  private final Steadily<Long> steadily =
      new Steadily<>("What its owner does not see any more could not be let go");

  OwnedWork(
      OwnershipMapper owners,
      Bookkeeping books,
      Ownership owning,
      Eligible eligible,
      People people,
      TransactionTemplate transactions) {
    this.owners = owners;
    this.books = books;
    this.owning = owning;
    this.eligible = eligible;
    this.people = people;
    this.transactions = transactions;
  }

  /** What someone owns that is open. */
  public List<ConversationId> openOf(StaffId owner) {
    return owners.listOpenOfOwner(owner.value()).stream().map(ConversationId::new).toList();
  }

  /**
   * Hands over several things of one owner, each on its own. What the receiver may not see goes to
   * nobody.
   *
   * @return the steps, for taking back
   */
  public List<UndoStep> handAll(List<ConversationId> ids, StaffId from, HandTo to, StaffId by) {
    List<UndoStep> steps = new ArrayList<>();
    for (ConversationId id : ids) {
      transactions.execute(status -> handOne(id, from, to, by)).ifPresent(steps::add);
    }
    return steps;
  }

  private Optional<UndoStep> handOne(ConversationId id, StaffId from, HandTo to, StaffId by) {
    Conversation row = books.lock(id);
    if (!Objects.equals(row.ownerId(), from.value())) {
      return Optional.empty();
    }
    StaffId person = to.person();
    boolean fits = person == null || eligible.mayOwn(person.value(), row);
    return owning.hand(row, fits ? to : HandTo.NOBODY, "", by);
  }

  /** What someone owns and no longer sees goes back to nobody, so that it is not lost. */
  @EventListener
  void letGoUnseen(PeopleChanged change) {
    letGoUnseen();
  }

  /** What someone owns and no longer sees goes back to nobody, so that it is not lost. */
  public void letGoUnseen() {
    for (long owner : owners.listOwners()) {
      for (long id : owners.listOpenOfOwner(owner)) {
        steadily.attempt(
            id,
            one ->
                transactions.executeWithoutResult(
                    status -> letGoUnseen(new ConversationId(one), owner)));
      }
    }
  }

  private void letGoUnseen(ConversationId id, long owner) {
    Conversation row = books.row(id);
    if (!Objects.equals(row.ownerId(), owner) || eligible.mayOwn(owner, row)) {
      return;
    }
    Conversation held = books.lock(id);
    if (Objects.equals(held.ownerId(), owner)) {
      books.setOwner(held, null);
      String why = people.get(new StaffId(owner)).name() + " does not see this line any more";
      long event = books.event(held, EventKind.LET_GO, null, why);
      books.sightChanged(id, held.spot());
      books.changed(held.id(), List.of(event));
    }
  }
}
