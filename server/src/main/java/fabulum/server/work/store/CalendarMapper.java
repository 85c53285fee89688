package fabulum.server.work.store;

import fabulum.server.work.CalendarAddress;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** SQL for the addresses of calendars. */
@Mapper
public interface CalendarMapper {
  /** An address and who made it. */
  record AddressRow(long id, long staffId, @Nullable Long siteId, @Nullable Instant lastUsedAt) {}

  List<CalendarAddress> list(long staffId);

  Optional<AddressRow> findByHash(String hash);

  long insert(long staffId, @Nullable Long siteId, String hash, Instant at);

  int delete(long id, long staffId);

  void setUsed(long id, Instant at);
}
