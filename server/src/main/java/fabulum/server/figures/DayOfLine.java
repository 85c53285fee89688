package fabulum.server.figures;

import fabulum.server.lines.LineView;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;

/** A day by the clocks of a line. */
record DayOfLine(long line, ZoneId zone, LocalDate day) {
  static DayOfLine of(LineView line, Instant at) {
    ZoneId zone = ZoneId.of(line.zone());
    return new DayOfLine(line.id(), zone, LocalDate.ofInstant(at, zone));
  }

  Instant begins() {
    return day.atStartOfDay(zone).toInstant();
  }

  Instant ends() {
    return day.plusDays(1).atStartOfDay(zone).toInstant();
  }
}
