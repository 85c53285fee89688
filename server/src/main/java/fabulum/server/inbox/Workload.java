package fabulum.server.inbox;

import fabulum.core.access.Sight;
import fabulum.core.conversation.Group;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.SightColumns;
import fabulum.server.inbox.store.InboxMapper;
import fabulum.server.inbox.store.LateRow;
import fabulum.server.lines.Sights;
import java.time.Clock;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** How much work each person has. */
@Service
public class Workload {
  /** The owner of what nobody owns. */
  public static final long NOBODY = Counters.NOBODY;

  private final Counters tally;
  private final InboxMapper conversations;
  private final Sights sights;
  private final Clock clock;

  Workload(Counters tally, InboxMapper conversations, Sights sights, Clock clock) {
    this.tally = tally;
    this.conversations = conversations;
    this.sights = sights;
    this.clock = clock;
  }

  /**
   * How much someone has.
   *
   * @param late of those on our turn
   */
  public record Load(int ourTurn, int late, int theirTurn, int setAside) {
    /** No work. */
    public static final Load EMPTY = new Load(0, 0, 0, 0);
  }

  /** The loads of all who have something, as far as the person who asks sees it; by owner. */
  public Map<Long, Load> list(StaffId asking) {
    Sight sight = sights.of(asking);
    Map<Long, Integer> late =
        conversations.countLateByOwner(clock.instant(), SightColumns.of(sight)).stream()
            .collect(Collectors.toMap(LateRow::ownerId, LateRow::late));
    Map<Long, Load> loads = new HashMap<>();
    tally
        .countByOwner(sight)
        .forEach((owner, groups) -> loads.put(owner, load(groups, late.getOrDefault(owner, 0))));
    return loads;
  }

  private static Load load(Map<Group, Integer> groups, int late) {
    return new Load(
        groups.getOrDefault(Group.OUR_TURN, 0),
        late,
        groups.getOrDefault(Group.THEIR_TURN, 0),
        groups.getOrDefault(Group.SET_ASIDE, 0));
  }
}
