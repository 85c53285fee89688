package fabulum.core.report;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Numbers that belong to hours of local dates. An hour that a clock change repeats is one hour with
 * up to 7200 seconds, one that it skips has none.
 */
public record ByHour(List<Cell> cells) {
  private static final long SECONDS_AN_HOUR = 3_600;
  private static final int HOURS_A_WEEK = 168;

  /** 1970-01-01 was a Thursday. */
  private static final int FIRST_HOUR_OF_WEEK = 72;

  public ByHour {
    cells =
        cells.stream()
            .sorted(Comparator.comparingLong(Cell::hour).thenComparingLong(Cell::value))
            .toList();
  }

  /**
   * A number of an hour.
   *
   * @param hour local hours since 1970-01-01 00:00 by the same clocks, not before then
   * @param value not negative
   */
  public record Cell(long hour, long value) {
    /** The cell of a local time. */
    public static Cell of(LocalDateTime at, long value) {
      return new Cell(hourOf(at), value);
    }

    /** Its hour of the week: 0 from Monday midnight, 167 until Sunday midnight. */
    public int hourOfWeek() {
      return (int) Math.floorMod(hour + FIRST_HOUR_OF_WEEK, HOURS_A_WEEK);
    }

    /** When its hour begins. */
    public LocalDateTime begins() {
      return LocalDateTime.ofEpochSecond(hour * SECONDS_AN_HOUR, 0, ZoneOffset.UTC);
    }
  }

  /** The hour in which a local time lies. */
  public static long hourOf(LocalDateTime at) {
    return Math.floorDiv(at.toEpochSecond(ZoneOffset.UTC), SECONDS_AN_HOUR);
  }

  /** The seconds from one instant to another, each in its hour. */
  public static List<Cell> spread(Instant from, Instant to, ZoneId zone) {
    List<Cell> cells = new ArrayList<>();
    ZonedDateTime at = from.atZone(zone);
    while (at.toInstant().isBefore(to)) {
      ZonedDateTime next = at.truncatedTo(ChronoUnit.HOURS).plusHours(1);
      Instant end = next.toInstant().isBefore(to) ? next.toInstant() : to;
      cells.add(Cell.of(at.toLocalDateTime(), ChronoUnit.SECONDS.between(at.toInstant(), end)));
      at = end.atZone(zone);
    }
    return cells;
  }

  /** The same with one cell for each hour. */
  public ByHour summed() {
    List<Cell> summed = new ArrayList<>();
    for (Cell cell : cells) {
      int last = summed.size() - 1;
      if (last >= 0 && summed.get(last).hour() == cell.hour()) {
        summed.set(last, new Cell(cell.hour(), summed.get(last).value() + cell.value()));
      } else {
        summed.add(cell);
      }
    }
    return new ByHour(summed);
  }

  /** As they are kept: hours as differences, each hour followed by its number (LEB128). */
  public byte[] bytes() {
    long[] numbers = new long[2 * cells.size()];
    long before = 0;
    for (int i = 0; i < cells.size(); i++) {
      numbers[2 * i] = cells.get(i).hour() - before;
      numbers[2 * i + 1] = cells.get(i).value();
      before = cells.get(i).hour();
    }
    return Packed.of(numbers);
  }

  /**
   * What {@link #bytes()} wrote.
   *
   * @throws IllegalArgumentException when the bytes are cut off
   */
  public static ByHour read(byte[] bytes) {
    long[] numbers = Packed.read(bytes);
    if (numbers.length % 2 != 0) {
      throw new IllegalArgumentException("An hour has no number");
    }
    List<Cell> cells = new ArrayList<>();
    long hour = 0;
    for (int i = 0; i < numbers.length; i += 2) {
      hour += numbers[i];
      cells.add(new Cell(hour, numbers[i + 1]));
    }
    return new ByHour(cells);
  }
}
