package fabulum.server.sentences.store;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Saved sentences in the database. */
@Mapper
public interface SentenceMapper {

  /** A person's own sentences and those of their teams. */
  List<SentenceRow> list(long staffId);

  long insert(SentenceRow sentence);

  /** Those that their makers get by mail. */
  List<SentenceRow> listMailed();

  int setMailed(long id, long staffId, @Nullable Instant since);

  int delete(long id, long staffId);
}
