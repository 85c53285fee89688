package fabulum.server.conversations;

import fabulum.core.access.Sight;
import fabulum.core.conversation.Group;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.conversations.store.OwnerCountRow;
import fabulum.server.conversations.store.SightRow;
import fabulum.server.lines.Sights;
import fabulum.server.people.StaffId;
import java.time.Clock;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** What each person has on their desk. */
@Service
public class Desks {
  /** Whose desk holds what nobody owns. */
  public static final long NOBODY = Tally.NOBODY;

  private final Tally tally;
  private final ConversationMapper conversations;
  private final Sights sights;
  private final Clock clock;

  Desks(Tally tally, ConversationMapper conversations, Sights sights, Clock clock) {
    this.tally = tally;
    this.conversations = conversations;
    this.sights = sights;
    this.clock = clock;
  }

  /**
   * How much somebody has.
   *
   * @param late of those on our turn
   */
  public record Desk(int ourTurn, int late, int theirTurn, int setAside) {
    /** A desk with nothing on it. */
    public static final Desk EMPTY = new Desk(0, 0, 0, 0);
  }

  /** The desks of all who have something, as far as whoever asks sees it; by owner. */
  public Map<Long, Desk> list(StaffId asking) {
    Sight sight = sights.of(asking);
    Map<Long, Integer> late =
        conversations.countLateByOwner(clock.instant(), SightRow.of(sight)).stream()
            .collect(Collectors.toMap(OwnerCountRow::ownerId, OwnerCountRow::waiting));
    Map<Long, Desk> desks = new HashMap<>();
    tally
        .countByOwner(sight)
        .forEach((owner, groups) -> desks.put(owner, desk(groups, late.getOrDefault(owner, 0))));
    return desks;
  }

  private static Desk desk(Map<Group, Integer> groups, int late) {
    return new Desk(
        groups.getOrDefault(Group.OUR_TURN, 0),
        late,
        groups.getOrDefault(Group.THEIR_TURN, 0),
        groups.getOrDefault(Group.SET_ASIDE, 0));
  }
}
