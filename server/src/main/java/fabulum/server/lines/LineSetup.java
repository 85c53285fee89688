package fabulum.server.lines;

import fabulum.core.assignment.Way;
import fabulum.core.hours.EnteredSpan;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * All that is set up about a line.
 *
 * @param number in E.164, or as people write it in the region
 * @param region ISO 3166-1
 * @param zone IANA name
 * @param promiseMinutes of working time within which it answers
 * @param week empty for always open
 * @param closedDays entered by hand, in order
 * @param holidays whose public holidays it keeps as well
 * @param openHolidays public holidays on which it opens all the same
 * @param way in which it gives out what nobody owns
 * @param narrowed whether a person sees on it only what nobody owns or is their own; leads see all
 * @param tellOfNobodys who is told when something could be given to nobody
 */
public record LineSetup(
    String name,
    String number,
    String region,
    long siteId,
    long teamId,
    String zone,
    boolean inUse,
    int promiseMinutes,
    List<EnteredSpan> week,
    List<LocalDate> closedDays,
    @Nullable HolidayCalendar holidays,
    List<LocalDate> openHolidays,
    Way way,
    boolean narrowed,
    List<Long> tellOfNobodys,
    LineSending sending) {

  public LineSetup {
    week = List.copyOf(week);
    closedDays = closedDays.stream().distinct().sorted().toList();
    openHolidays = openHolidays.stream().distinct().sorted().toList();
    tellOfNobodys = tellOfNobodys.stream().distinct().sorted().toList();
  }
}
