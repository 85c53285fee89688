package fabulum.server.access.store;

import fabulum.server.access.AccessChange;
import fabulum.server.platform.LogPage;
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
   * A page of it.
   *
   * @param pattern in lower case, for anything that is said in it; null for all
   */
  List<AccessChange> list(@Nullable String pattern, LogPage page);
}
