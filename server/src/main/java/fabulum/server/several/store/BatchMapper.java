package fabulum.server.several.store;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Batches in the database. */
@Mapper
public interface BatchMapper {

  long insert(BatchRow batch);

  void insertItem(
      long batchId,
      long conversationId,
      ItemRow.Outcome outcome,
      @Nullable String why,
      @Nullable String shown);

  Optional<BatchRow> find(long id);

  Optional<BatchRow> findByReference(String reference);

  /** Those that have not come to their end. */
  List<Long> listUnfinished();

  List<PendingRow> listPending(long batchId);

  List<ItemRow> listItems(long batchId);

  /** How many an act is done to, those it was not yet done to among them. */
  int countChosen(long batchId);

  void setOutcome(long batchId, long conversationId, ItemRow.Outcome outcome, @Nullable String why);

  void finish(long id);
}
