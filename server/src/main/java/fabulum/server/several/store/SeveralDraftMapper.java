package fabulum.server.several.store;

import fabulum.server.several.Begun;
import java.time.Instant;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;

/** Words begun to several, in the database. */
@Mapper
public interface SeveralDraftMapper {
  Optional<Begun> find(long staffId);

  void keep(long staffId, String words, String reference, Instant at);

  void delete(long staffId);

  void deleteSent(long staffId, String reference);
}
