package fabulum.server.customers.store;

import fabulum.server.customers.DetailKind;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** SQL for the extra fields of customers. */
@Mapper
public interface DetailKindMapper {
  List<DetailKind> list();

  long insert(@Param("kind") DetailKind kind);

  /** Changes one that is still as it was seen. */
  int update(@Param("kind") DetailKind kind, @Param("seen") long seen);

  void setPlace(long id, int place);

  /** What customers have in one, each words once. */
  List<String> listWords(long id);
}
