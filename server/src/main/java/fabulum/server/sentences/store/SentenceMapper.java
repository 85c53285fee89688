package fabulum.server.sentences.store;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;

/** Saved sentences in the database. */
@Mapper
public interface SentenceMapper {

  /** One's own and those of one's teams. */
  List<SentenceRow> list(long staffId);

  long insert(SentenceRow sentence);

  int delete(long id, long staffId);
}
