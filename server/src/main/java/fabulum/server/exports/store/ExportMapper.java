package fabulum.server.exports.store;

import fabulum.server.exports.ExportState;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Exports in the database. */
@Mapper
public interface ExportMapper {
  long insert(ExportRow export);

  Optional<ExportRow> find(long id);

  /** Of one person, the newest first. */
  List<ExportRow> listOf(long staffId);

  /** Those that are to be made, the oldest first. */
  List<ExportRow> listToMake();

  /** Those that were asked for at an instant or before it. */
  List<Long> listBefore(Instant at);

  int setState(long id, ExportState state, @Nullable String why);

  void setProgress(long id, int done, int total);

  int delete(long id);

  void deleteAll();

  List<Long> listIds();
}
