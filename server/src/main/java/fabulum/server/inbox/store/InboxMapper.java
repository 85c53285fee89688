package fabulum.server.inbox.store;

import fabulum.core.conversation.Group;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.SightColumns;
import fabulum.server.inbox.Seen;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Lists, counts and searches over conversations. */
@Mapper
public interface InboxMapper {
  List<PlaceRow> list(
      Group box,
      SortRow order,
      ChoiceRow choice,
      @Nullable Instant afterAt,
      @Nullable Long afterId,
      int limit);

  /** How many there are, but no more than the limit. */
  int countUpTo(Group box, ChoiceRow choice, int limit);

  List<FactsRow> listFacts(long after, int limit);

  Optional<FactsRow> findFacts(long id);

  List<Conversation> listMatching(
      String pattern, @Nullable String digits, SightColumns sight, int limit);

  /** How many of those in sight are late, by owner; 0 for nobody. */
  List<LateRow> countLateByOwner(Instant now, SightColumns sight);

  /** The conversations that numbers take part in, the newest first. */
  List<Long> listOfNumbers(List<Long> ids, int limit);

  /** Up to when someone has read these conversations; those they never opened are left out. */
  List<Seen> listSeen(long staffId, List<Long> ids);
}
