package fabulum.server.setup;

import java.time.LocalDate;
import java.util.List;

/**
 * Closed days that were read from a file.
 *
 * @param days in order, each once
 * @param leftOut what of the file was not taken, and why
 */
public record ClosedDays(List<Day> days, List<LeftOut> leftOut) {
  public ClosedDays {
    days = List.copyOf(days);
    leftOut = List.copyOf(leftOut);
  }

  /**
   * A closed day.
   *
   * @param name what the file calls it; may be empty
   */
  public record Day(LocalDate day, String name) {}

  /**
   * What was not taken.
   *
   * @param entry which entry of the file it is, as a person finds it there
   */
  public record LeftOut(String entry, String why) {}

  /**
   * Reads a file: an iCalendar (RFC 5545), or values (RFC 4180).
   *
   * @param today the day it is at the line: what comes again is taken for two years from then
   */
  public static ClosedDays of(byte[] octets, LocalDate today) {
    return ClosedDayFile.read(octets, today);
  }
}
