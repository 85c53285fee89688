package fabulum.server.outage;

import fabulum.server.outage.OutageView.Doing;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How a comparison stands.
 *
 * @param known the lines of texts that we have as the network has them, one for each text
 * @param found those that are missing or different, the oldest first
 */
record Run(
    LocalDate first,
    LocalDate last,
    Doing doing,
    int daysDone,
    List<Long> known,
    List<Held> found,
    int unreadable,
    @Nullable String problem) {
  Run {
    known = List.copyOf(known);
    found = List.copyOf(found);
  }

  static Run begun(LocalDate first, LocalDate last) {
    return new Run(first, last, Doing.COMPARING, 0, List.of(), List.of(), 0, null);
  }

  int days() {
    return (int) ChronoUnit.DAYS.between(first, last) + 1;
  }

  boolean isBusy() {
    return doing == Doing.COMPARING || doing == Doing.TAKING;
  }

  Run now(Doing next, @Nullable String why) {
    return new Run(first, last, next, daysDone, known, found, unreadable, why);
  }

  Run with(List<Held> next) {
    return new Run(first, last, doing, daysDone, known, next, unreadable, problem);
  }
}
