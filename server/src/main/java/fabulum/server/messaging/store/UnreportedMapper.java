package fabulum.server.messaging.store;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Texts the network took and has not reported on yet, in the database. */
@Mapper
public interface UnreportedMapper {
  void insert(long entryId, Instant sentAt, @Nullable Instant nextAt);

  List<UnreportedRow> listDue(Instant now, int limit);

  /** How many there are. */
  int count();

  /** Lets all be asked about now. */
  int askAllNow(Instant now);

  void asked(long entryId, @Nullable Instant nextAt);

  /** Asks no more about a text of which all that was awaited is known. */
  void deleteReported(String reference);
}
