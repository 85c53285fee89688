package fabulum.server.feed.store;

import fabulum.server.feed.Change;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** The feed in the database. */
@Mapper
public interface FeedMapper {
  void insert(
      Instant at,
      Change.Kind kind,
      long subject,
      long version,
      @Nullable String detail,
      String node);

  /** Those after a number, ascending. */
  List<Change> list(long after, int limit);

  /** The highest number written before an instant; 0 for none. */
  long getLastBefore(Instant at);

  /** The lowest number there is; 1 for an empty feed that never had any. */
  long getFirst();

  /** The highest number there is; 0 for none. */
  long getLast();

  /** The newest stays, so that it is known how far the feed once reached. */
  void deleteBefore(Instant at);
}
