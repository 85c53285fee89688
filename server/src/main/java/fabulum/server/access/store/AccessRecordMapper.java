package fabulum.server.access.store;

import fabulum.server.access.AccessChange;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** The record of who may see or do what, in the database. It is only ever added to. */
@Mapper
public interface AccessRecordMapper {

  void insert(
      Instant at,
      @Nullable Long byId,
      String about,
      String what,
      @Nullable String before,
      @Nullable String after);

  /**
   * The newest first, from before an id.
   *
   * @param pattern in lower case, for anything that is said in it; null for all
   */
  List<AccessChange> list(long before, @Nullable String pattern, int limit);
}
