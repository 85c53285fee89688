package fabulum.server.ownership.store;

import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryKind;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;

/** Who owns what, and whose turn it is to be given something. */
@Mapper
public interface OwnershipMapper {
  /** How many each owner has in which it is our turn. */
  List<OwnerCountRow> listOurTurnByOwner();

  List<Long> listOpenOfOwner(long ownerId);

  /** Everybody who owns something open. */
  List<Long> listOwners();

  Optional<Long> findLastOwnerOfCustomer(long customerId);

  Optional<Long> findLastOwnerOfNumber(long numberId);

  /** Whom the line gave something last, and in which turn. */
  List<TurnRow> listTurns(long lineId);

  void setTurn(long lineId, long staffId, long lastTurn);

  /** The newest of a kind that a person wrote. */
  Optional<Entry> findLastOf(long conversationId, EntryKind kind);

  /** Notes from a time on, and from after the handing over before an entry. */
  List<Entry> listNotesToHandOver(long conversationId, long before, Instant since);

  /** Texts of ours that have not gone yet. */
  List<Entry> listWaiting(long conversationId);

  /** The last change of owner before an entry. */
  Optional<Entry> findHandedBefore(long conversationId, long before);
}
