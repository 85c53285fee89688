package fabulum.demo;

import java.time.Duration;
import java.util.List;

/**
 * Something that happens between a customer and the boatyard, as dialogue with blanks.
 *
 * @param firstMonth in which it happens, 1 to 12; later than the last one when it runs over the new
 *     year
 * @param lastMonth in which it happens, 1 to 12
 * @param topic what it is about; blank for nothing special
 */
record Situation(
    String name,
    Line line,
    int firstMonth,
    int lastMonth,
    Kind kind,
    String topic,
    List<Step> steps) {

  Situation {
    steps = List.copyOf(steps);
  }

  boolean happensIn(int month) {
    return firstMonth <= lastMonth
        ? month >= firstMonth && month <= lastMonth
        : month >= firstMonth || month <= lastMonth;
  }

  /** Which line it comes in on. */
  enum Line {
    DOCK,
    YARD,
    STORAGE
  }

  /** Who writes, and whether it is over. */
  enum Kind {
    USUAL,
    UNKNOWN,
    SENDER,
    OPEN,
    OPEN_UNKNOWN,
    OPEN_SHARED
  }

  /** Who speaks. */
  enum Speaker {
    CUSTOMER,
    STAFF,
    NOTE,
    DONE
  }

  /**
   * A line of dialogue.
   *
   * @param after since the step before it
   */
  record Step(Speaker speaker, Duration after, String words) {}
}
