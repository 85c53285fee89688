package fabulum.server.figures;

import fabulum.core.report.ByHour;
import fabulum.core.report.Measure;
import fabulum.core.report.Sum;
import fabulum.server.figures.ReportColumns.Sums;
import fabulum.server.figures.store.FigureMapper;
import fabulum.server.figures.store.HoursRow;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;

/** Texts by the hour of the day. */
final class DayHours {
  private static final int HOURS_A_DAY = 24;

  private DayHours() {}

  /** The texts of each hour, by a key like {@code 08:00}. */
  static Map<String, Sums> texts(FigureMapper rows, Scope scope) {
    Map<String, Map<Measure, Sum>> hours = new HashMap<>();
    for (int hour = 0; hour < HOURS_A_DAY; hour++) {
      hours.put(key(hour), new EnumMap<>(Measure.class));
    }
    for (long line : scope.lineIds()) {
      for (HoursRow row : rows.listHours(line, scope.first(), scope.last())) {
        add(hours, Measure.RECEIVED, row.received());
        add(hours, Measure.SENT_BY_HAND, row.byHand());
        add(hours, Measure.SENT_AUTOMATICALLY, row.automatic());
      }
    }
    Map<String, Sums> sums = new HashMap<>();
    hours.forEach((key, each) -> sums.put(key, new Sums(each)));
    return sums;
  }

  private static void add(Map<String, Map<Measure, Sum>> hours, Measure measure, byte[] packed) {
    for (ByHour.Cell cell : ByHour.read(packed).cells()) {
      hours
          .computeIfAbsent(key(cell.begins().getHour()), anyHour -> new EnumMap<>(Measure.class))
          .merge(measure, counted(cell.value()), DayHours::plus);
    }
  }

  private static String key(int hour) {
    return String.format("%02d:00", hour);
  }

  private static Sum counted(long count) {
    return new Sum(count, count, Sum.NONE.seconds());
  }

  private static Sum plus(Sum one, Sum other) {
    return counted(one.count() + other.count());
  }

  static Sums total(Collection<Sums> hours) {
    Map<Measure, Sum> total = new EnumMap<>(Measure.class);
    hours.forEach(
        each -> each.of().forEach((measure, sum) -> total.merge(measure, sum, DayHours::plus)));
    return new Sums(total);
  }
}
