package fabulum.server.setup.store;

import fabulum.server.platform.LogPage;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** Changes to the set-up in the database. */
@Mapper
public interface ChangeMapper {

  void insert(ChangeRow change);

  List<ChangeRow> list(@Param("page") LogPage page);
}
