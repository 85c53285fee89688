package fabulum.server.conversations.store;

import fabulum.server.conversations.Entry;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Entries of scripts in the database. */
@Mapper
public interface EntryMapper {
  long insert(Entry entry);

  @Nullable Entry find(long id);

  @Nullable Entry findByReference(String reference);

  @Nullable String getDelivery(long id);

  List<Entry> listByIds(List<Long> ids);

  List<Entry> listNewest(
      long conversationId, @Nullable Instant beforeAt, @Nullable Long beforeId, int limit);

  int countSince(long conversationId, Instant at, long id);

  /** An event that was taken back: the working time that it ended counts no more. */
  void setUndone(long id);

  /** The event of the last time a person said who writes, other than what was taken back. */
  @Nullable Long findIdentified(long conversationId);

  /** The first text that came in after an entry, other than what was history when it arrived. */
  Optional<Entry> findFirstReceivedAfter(long conversationId, long after);

  /** The highest id among the entries of a conversation; 0 for none. */
  long getLastId(long conversationId);

  List<MentionRow> listMentions(List<Long> ids);

  List<NumberRow> listNumbers(List<Long> ids);

  /** A text of ours waits to go to these participants of its conversation. */
  void insertDeliveries(long id, long conversationId, List<Long> numbers);

  /** How far texts to several numbers have come with each; none for texts to one. */
  List<DeliveryRow> listDeliveries(List<Long> ids);

  /** Whether someone must still deal with the failure of a text of ours. */
  void setNeedsHand(long id, boolean needsHand);

  /** A text of ours that never left becomes the event that it was taken back. */
  void takeBack(long id);

  void clearCost(long id);

  /** A text to several numbers goes to none of them. */
  void deleteDeliveries(long id);

  /** The newest text of a conversation. */
  Optional<Entry> findLastSaid(long conversationId);

  /** Since when someone waits for what a text of ours says. */
  void setWaitedSince(long id, Instant since);

  /** Texts of ours that were not delivered and that nobody has dealt with; the newest first. */
  List<Entry> listNeedingHand(long conversationId);

  /** The first text of the customer to which no person has said anything that was not lost. */
  @Nullable Instant findFirstUnanswered(long conversationId);
}
