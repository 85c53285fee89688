package fabulum.server.history.store;

import fabulum.server.conversations.SightColumns;
import fabulum.server.history.store.SaidRow.AttachedRow;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** SQL over all that was said. */
@Mapper
public interface HistoryMapper {
  /** Some entries; those that were withdrawn or are not there are left out. */
  List<SaidRow> list(List<Long> ids);

  List<AttachedRow> listAttached(List<Long> ids);

  /** Entries with ids from one up to before another, as {@link #list} has them. */
  List<SaidRow> listBetween(long from, long before);

  List<AttachedRow> listAttachedBetween(long from, long before);

  /** Ids of the entries of a conversation. */
  List<Long> listIdsOf(long conversation);

  /** The highest id; 0 for none. */
  long getLastId();

  /** Conversations handed to teams of someone on lines they do not see. */
  List<Long> listHanded(SightColumns sight);

  /** Conversations of colleagues on narrowed lines, which someone does not see. */
  List<Long> listHidden(SightColumns sight);

  /** Conversations about a topic. */
  List<Long> listAbout(long topic);

  /** Conversations with a customer or number that is called so. */
  List<Long> listCalled(String pattern, @Nullable String digits);
}
