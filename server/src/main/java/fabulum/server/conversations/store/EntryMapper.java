package fabulum.server.conversations.store;

import fabulum.core.delivery.DeliveryState;
import java.time.Instant;
import java.util.List;
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

  /** Whether no later text of ours stands in the conversation. */
  boolean isLastOut(long conversationId, long id);

  @Nullable Instant findLastReceived();
}
