package fabulum.server.lines.store;

import fabulum.server.lines.LineSetup;
import fabulum.server.lines.SiteView;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Lines in the database. */
@Mapper
public interface LineMapper {

  List<LineRow> list();

  Optional<LineRow> find(long id);

  Optional<LineRow> findByNumber(String number);

  List<SiteView> listSites();

  Optional<Long> findSite(String name);

  long insertSite(String name);

  int renameSite(long id, String name);

  /**
   * Adds a line.
   *
   * @param reaches codes of countries, with spaces between
   * @param carries kinds of attachments, with spaces between
   */
  long insert(LineSetup line, String name, String number, String reaches, String carries);

  /** How many were changed: none when the line is no longer in the state that was seen. */
  int update(
      long id,
      LineSetup line,
      String name,
      String number,
      String reaches,
      String carries,
      @Nullable Long seen);

  List<SpanRow> listSpans(long lineId);

  List<LocalDate> listClosedDays(long lineId);

  List<LocalDate> listOpenHolidays(long lineId);

  void insertSpan(long lineId, int dayOfWeek, int fromMinute, int minutes);

  void insertClosedDay(long lineId, LocalDate day);

  void insertOpenHoliday(long lineId, LocalDate day);

  long lock(long id);

  List<Long> listToldOfNobodys(long lineId);

  void insertToldOfNobodys(long lineId, long staffId);

  void deleteToldOfNobodys(long lineId);

  void deleteSpans(long lineId);

  void deleteClosedDays(long lineId);

  void deleteOpenHolidays(long lineId);
}
