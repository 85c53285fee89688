package fabulum.server.programs.store;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** SQL for other programs. */
@Mapper
public interface ProgramMapper {
  /** Those whose key holds first, by name; what they did since a day. */
  List<ProgramRow> list(LocalDate since);

  /** One of them, without what it did. */
  Optional<ProgramRow> find(long id);

  /** One whose key holds, without what it did. */
  Optional<ProgramRow> findByHash(String hash);

  long insert(
      String name, String keyStart, String keyHash, String rights, long staffId, Instant at);

  int end(long id, long staffId, Instant at);

  void setLastUsed(long id, @Nullable Instant at);

  int addUse(long id, LocalDate day, int reads, int changes, int refused);

  void insertUse(long id, LocalDate day, int reads, int changes, int refused);

  /** Locks a program until the transaction ends. */
  Optional<Long> lock(long id);
}
