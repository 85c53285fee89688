package fabulum.server.conversations.store;

import fabulum.core.delivery.DeliveryState;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.NoteBefore;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Entries of scripts in the database. */
@Mapper
public interface EntryMapper {
  long insert(EntryRow entry);

  boolean existsReceived(String networkId);

  @Nullable EntryRow find(long id);

  @Nullable EntryRow findByReference(String reference);

  @Nullable String getDelivery(long id);

  List<EntryRow> listByIds(List<Long> ids);

  List<EntryRow> listNewest(
      long conversationId, @Nullable Instant beforeAt, @Nullable Long beforeId, int limit);

  void setNetworkId(long id, String networkId);

  void setDelivery(
      long id,
      DeliveryState delivery,
      @Nullable String failureCode,
      @Nullable String failureReason);

  /** Whether a person has answered since then. */
  boolean existsAnswerSince(long conversationId, Instant since);

  void clearWorkingSeconds(long id);

  /** The newest answer that somebody else gave after an entry. */
  Optional<EntryRow> findAnswerAfter(long conversationId, long after, long butBy);

  /** The first text that came in after an entry, other than what was history when it arrived. */
  Optional<EntryRow> findFirstReceivedAfter(long conversationId, long after);

  /** The highest id among the entries of a conversation; 0 for none. */
  long getLastId(long conversationId);

  /** The newest of a kind that a person wrote. */
  Optional<EntryRow> findLastOf(long conversationId, EntryKind kind);

  /** Notes from a time on, and from after the handing over before an entry. */
  List<EntryRow> listNotesToHandOver(long conversationId, long before, Instant since);

  /** Texts of ours that have not gone yet. */
  List<EntryRow> listWaiting(long conversationId);

  /** The last change of owner before an entry. */
  Optional<EntryRow> findHandedBefore(long conversationId, long before);

  /** Keeps what a note says, before it says something else. */
  void keepBefore(long id, Instant at);

  void rewrite(long id, String words, Instant at);

  void withdraw(long id, Instant at);

  List<NoteBefore> listBefore(long id);

  void insertMention(long id, long staffId);

  List<MentionRow> listMentions(List<Long> ids);

  /** Whether somebody must still deal with the failure of a text of ours. */
  void setNeedsHand(long id, boolean needsHand);

  /** Since when somebody waits for what a text of ours says. */
  void setWaitedSince(long id, Instant since);

  /** Texts of ours that were not delivered and that nobody has dealt with; the newest first. */
  List<EntryRow> listNeedingHand(long conversationId);

  /** The first text of the customer to which no person has said anything that was not lost. */
  @Nullable Instant findFirstUnanswered(long conversationId);

  /** Texts of ours that were not delivered, with references from one to before another. */
  List<EntryRow> listNotDelivered(String from, String to);

  @Nullable Instant findLastReceived();
}
