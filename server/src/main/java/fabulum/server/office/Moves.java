package fabulum.server.office;

import fabulum.core.access.Act;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.UndoStep;
import fabulum.server.inbox.ConversationView;
import fabulum.server.inbox.Inbox;
import fabulum.server.ownership.HandTo;
import fabulum.server.ownership.OwnedWork;
import fabulum.server.ownership.Ownership;
import fabulum.server.people.PeopleSetUp;
import fabulum.server.undo.Undo;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Moving what someone owns elsewhere. */
@Service
public class Moves {
  private final PeopleSetUp people;
  private final Permits permits;
  private final Inbox inbox;
  private final Ownership owning;
  private final OwnedWork work;
  private final Undo undo;

  Moves(
      PeopleSetUp people,
      Permits permits,
      Inbox inbox,
      Ownership owning,
      OwnedWork work,
      Undo undo) {
    this.people = people;
    this.permits = permits;
    this.inbox = inbox;
    this.owning = owning;
    this.work = work;
    this.undo = undo;
  }

  /** What someone owns that is open: for themselves, and for leads as far as they see it. */
  public List<ConversationView> workOf(StaffId owner, StaffId asking) {
    requireOwnOrLead(owner, asking);
    return inbox.list(work.openOf(owner), asking);
  }

  private void requireOwnOrLead(StaffId owner, StaffId asking) {
    permits.require(asking, owner.equals(asking) ? Act.WORK : Act.LEAD);
  }

  /**
   * What came of moving work.
   *
   * @param moved how many have another owner now
   * @param nobodys how many of them went to nobody, for the receiver may not see them
   * @param undo names it for taking it back; empty when nothing moved
   */
  public record Moved(int moved, int nobodys, @Nullable String undo) {}

  /**
   * Moves what someone owns.
   *
   * @param ids which of it; null for all that is open
   */
  public Moved move(StaffId from, @Nullable List<ConversationId> ids, HandTo to, StaffId by) {
    requireOwnOrLead(from, by);
    Set<Long> seen =
        workOf(from, by).stream().map(ConversationView::id).collect(Collectors.toSet());
    List<ConversationId> wanted = ids == null ? work.openOf(from) : ids;
    return move(wanted.stream().filter(id -> seen.contains(id.value())).toList(), from, to, by);
  }

  private Moved move(List<ConversationId> ids, StaffId from, HandTo to, StaffId by) {
    owning.requireReceiver(to);
    List<UndoStep> steps = work.handAll(ids, from, to, by);
    boolean meant = to.person() != null;
    long nobodys = steps.stream().filter(step -> meant && step.after().owner() == null).count();
    return new Moved(steps.size(), (int) nobodys, together(steps));
  }

  /** Steps of one move are taken back together. */
  private @Nullable String together(List<UndoStep> steps) {
    if (steps.isEmpty()) {
      return null;
    }
    String name = steps.get(0).name();
    steps.forEach(step -> undo.join(step, name));
    return name;
  }

  /**
   * Switches someone off. Their open work goes where the lead says first; what the receiver may not
   * see goes to nobody, so that someone finds it.
   */
  public Moved letLeave(StaffId who, HandTo to, StaffId by) {
    permits.require(by, Act.LEAD);
    people.requireNotLastLead(who);
    Moved moved = move(work.openOf(who), who, to, by);
    people.switchOff(who, by);
    return new Moved(moved.moved(), moved.nobodys(), null);
  }
}
