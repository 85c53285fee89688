package fabulum.server.conversations;

import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.List;

/** A place in an ordered list, as a caller carries it from page to page. */
record Place(Instant at, long id) {

  String text() {
    return at + "~" + id;
  }

  static Place read(String text) {
    int seam = text.lastIndexOf('~');
    try {
      return new Place(
          Instant.parse(text.substring(0, Math.max(0, seam))),
          Long.parseLong(text.substring(seam + 1)));
    } catch (DateTimeException | NumberFormatException notAPlace) {
      throw Problem.fields(
          List.of(
              new FieldProblem("from", "This is no place in the list. Begin again without it.")));
    }
  }
}
