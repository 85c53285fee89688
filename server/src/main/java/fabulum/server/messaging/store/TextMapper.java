package fabulum.server.messaging.store;

import fabulum.core.delivery.DeliveryState;
import fabulum.server.conversations.Entry;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** What the network says of texts, on their entries. */
@Mapper
public interface TextMapper {
  boolean existsReceived(String networkId);

  void setNetworkId(long id, String networkId);

  void setDelivery(
      long id,
      DeliveryState delivery,
      @Nullable String failureCode,
      @Nullable String failureReason);

  /** How far a text to several numbers has come with each. */
  List<SentToRow> listDeliveries(long id);

  void setDeliveryTo(SentToRow row);

  /** Whether a person has answered since then. */
  boolean existsAnswerSince(long conversationId, Instant since);

  /** Texts of ours that were not delivered, with references from one to before another. */
  List<Entry> listNotDelivered(String from, String to);

  @Nullable Instant findLastReceived();
}
