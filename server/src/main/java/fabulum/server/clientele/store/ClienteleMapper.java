package fabulum.server.clientele.store;

import fabulum.server.clientele.store.IndexedRow.HeardRow;
import fabulum.server.clientele.store.IndexedRow.PieceRow;
import fabulum.server.conversations.SightColumns;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** SQL over all customers. */
@Mapper
public interface ClienteleMapper {
  List<IndexedRow> list(List<Long> ids);

  List<PieceRow> listPieces(List<Long> ids);

  /**
   * Customers from whose numbers a text came in a span, as far as someone sees it.
   *
   * @param from inclusive; null for from the beginning
   * @param to exclusive; null for until now
   */
  List<Long> listHeard(@Nullable Instant from, @Nullable Instant to, SightColumns sight);

  /** When some customers were last heard from, as far as someone sees it. */
  List<HeardRow> listLastHeard(List<Long> ids, SightColumns sight);

  /** Customers who hold one of some numbers. */
  List<Long> listHolders(List<Long> numbers);

  /** Customers of none of whose numbers anything is noted, and who never wrote. */
  List<Long> listNothingSaid();

  /** Conversations of numbers, as far as someone sees them. */
  List<Long> listConversations(List<Long> numbers, SightColumns sight);
}
