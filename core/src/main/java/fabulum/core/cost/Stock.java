package fabulum.core.cost;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.OptionalInt;

/**
 * Parts bought ahead, and how long they last.
 *
 * @param bought in all
 * @param used since the first day of the first purchase
 * @param usedLately in the last {@code days} days, today not counted
 * @param days over which the pace is taken, at least 1; fewer than {@link #PACE_DAYS} while the
 *     first purchase is younger
 */
public record Stock(long bought, long used, long usedLately, int days) {
  /** Over how many days the pace is taken: two weeks, so that each weekday counts twice. */
  public static final int PACE_DAYS = 14;

  /** Leads are told when the parts last less than these days. */
  public static final int SOON_DAYS = 7;

  /** Over how many days before today the pace is taken, when the first parts were bought then. */
  public static int paceDays(LocalDate firstBought, LocalDate today) {
    return (int) Math.max(1, Math.min(PACE_DAYS, ChronoUnit.DAYS.between(firstBought, today)));
  }

  /** Parts left; negative when more were sent than bought. */
  public long left() {
    return bought - used;
  }

  /** For how many whole days the parts last at the present pace; empty when none are used. */
  public OptionalInt lastsDays() {
    if (left() <= 0) {
      return OptionalInt.of(0);
    }
    return usedLately == 0
        ? OptionalInt.empty()
        : OptionalInt.of((int) Math.min(Integer.MAX_VALUE, left() * days / usedLately));
  }

  /** Whether it is time to buy more. */
  public boolean endsSoon() {
    return lastsDays().isPresent() && lastsDays().getAsInt() < SOON_DAYS;
  }
}
