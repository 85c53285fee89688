package fabulum.server.feed;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A place in what open browsers are told: how far one of them has heard.
 *
 * @param run of the program; numbers begin again with each
 * @param number of the last message heard in that run
 * @param settled up to which number it had surely heard the feed of changes
 */
public record Position(String run, long number, long settled) {
  private static final Pattern FORM = Pattern.compile("([0-9a-f]{8})-(\\d{1,18})-(\\d{1,18})");

  /** Reads a position; empty for what is none. */
  public static Optional<Position> read(@Nullable String text) {
    if (text == null) {
      return Optional.empty();
    }
    Matcher parts = FORM.matcher(text);
    return parts.matches()
        ? Optional.of(
            new Position(
                parts.group(1), Long.parseLong(parts.group(2)), Long.parseLong(parts.group(3))))
        : Optional.empty();
  }

  /** The position as a browser gives it back. */
  public String text() {
    return run + "-" + number + "-" + settled;
  }
}
