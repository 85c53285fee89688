package fabulum.server.lines.store;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;

/** Lines in the database. */
@Mapper
public interface LineMapper {
  List<LineRow> list();

  Optional<LineRow> find(long id);

  Optional<LineRow> findByNumber(String number);

  Optional<Long> findSite(String name);

  long insertSite(String name);

  long insert(
      long siteId, String name, String number, String region, String zone, int promiseMinutes);

  List<SpanRow> listSpans(long lineId);

  List<LocalDate> listClosedDays(long lineId);

  void insertSpan(long lineId, int dayOfWeek, int fromMinute, int minutes);

  void insertClosedDay(long lineId, LocalDate day);
}
