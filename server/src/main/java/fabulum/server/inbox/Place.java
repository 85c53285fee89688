package fabulum.server.inbox;

import fabulum.core.hours.PossibleDates;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.List;

/** A place in an ordered list, as a caller carries it from page to page. */
public record Place(Instant at, long id) {

  /** As a caller carries it. */
  public String text() {
    return at + "~" + id;
  }

  /**
   * Reads it back.
   *
   * @throws Problem for what is not a place
   */
  public static Place read(String text) {
    int seam = text.lastIndexOf('~');
    try {
      Instant at = Instant.parse(text.substring(0, Math.max(0, seam)));
      if (PossibleDates.isOne(at)) {
        return new Place(at, Long.parseLong(text.substring(seam + 1)));
      }
    } catch (DateTimeException | NumberFormatException notAPlace) {
      // Told below.
    }
    throw Problem.fields(
        List.of(new FieldProblem("from", "Not a place in the list. Begin again without it.")));
  }
}
