package fabulum.server.messaging.store;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;

/** What the network told us that could not be taken, in the database. */
@Mapper
public interface KeptAsideMapper {
  void insert(String fingerprint, Instant at, String body, String why);

  int count();

  List<KeptAsideRow> list(int limit);

  Optional<KeptAsideRow> find(long id);

  int delete(long id);
}
