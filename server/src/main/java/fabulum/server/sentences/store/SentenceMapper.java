package fabulum.server.sentences.store;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;

/** Saved sentences in the database. */
@Mapper
public interface SentenceMapper {

  /** A person's own sentences and those of their teams. */
  List<SentenceRow> list(long staffId);

  long insert(SentenceRow sentence);

  int delete(long id, long staffId);
}
