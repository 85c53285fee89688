package fabulum.server.undo.store;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;

/** Steps that can be taken back, in the database. */
@Mapper
public interface UndoMapper {
  void insert(UndoRow step, Instant at);

  void rename(String from, String to);

  /** Whether a person's newest step under a name was made after an instant. */
  boolean isKept(String name, long staffId, Instant after);

  /** In the order they were made. */
  List<UndoRow> list(String name, long staffId);

  void delete(String name);

  int deleteOlderThan(Instant at);
}
