package fabulum.server.inbox.store;

import fabulum.core.conversation.Group;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.SightColumns;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Lists, counts and searches over conversations. */
@Mapper
public interface InboxMapper {
  /** The conversations of a stretch of a list that a choice leaves, in its order. */
  List<Long> listIds(ChoiceRow choice, Stretch stretch);

  /** The same, with what a list shows of each; a row for each of its topics. */
  List<InboxRow> listRows(ChoiceRow choice, Stretch stretch);

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
}
