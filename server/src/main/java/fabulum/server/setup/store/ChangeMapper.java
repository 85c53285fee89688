package fabulum.server.setup.store;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;

/** Changes to the set-up in the database. */
@Mapper
public interface ChangeMapper {

  void insert(ChangeRow change);

  /** The newest first, from before an id. */
  List<ChangeRow> list(long before, int limit);
}
