package fabulum.server.conversations;

import fabulum.core.access.Sight;
import java.util.Collection;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What someone sees, as conditions on columns; null leaves one out, and no list is empty.
 *
 * @param me whose sight it is
 * @param lines they see
 * @param teams they are in, for what was handed to those
 * @param narrowed lines on which they do not see what is a colleague's
 * @param guestOf conversations into which they were brought
 */
public record SightColumns(
    long me,
    @Nullable List<Long> lines,
    @Nullable List<Long> teams,
    @Nullable List<Long> narrowed,
    @Nullable List<Long> guestOf) {
  private static final long NONE = 0;

  /** The columns of a sight. */
  public static SightColumns of(Sight sight) {
    return new SightColumns(
        sight.who(),
        sight.lines().map(SightColumns::orNone).orElse(null),
        sight.teams().isEmpty() ? null : List.copyOf(sight.teams()),
        sight.narrowed().isEmpty() ? null : List.copyOf(sight.narrowed()),
        sight.guestOf().isEmpty() ? null : List.copyOf(sight.guestOf()));
  }

  private static List<Long> orNone(Collection<Long> ids) {
    return ids.isEmpty() ? List.of(NONE) : List.copyOf(ids);
  }
}
