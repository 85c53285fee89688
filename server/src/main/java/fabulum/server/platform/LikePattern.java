package fabulum.server.platform;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** Patterns for LIKE from what people type. */
public final class LikePattern {
  /** The smallest number of digits that are sought as part of a number. */
  private static final int SHORTEST_DIGITS = 3;

  private LikePattern() {}

  /** For what contains these words, in lower case; what LIKE takes for placeholders is ordinary. */
  public static String containing(String words) {
    String plain =
        words
            .strip()
            .toLowerCase(Locale.ROOT)
            .replace("\\", "\\\\")
            .replace("%", "\\%")
            .replace("_", "\\_");
    return "%" + plain + "%";
  }

  /** For numbers that contain the digits of these words; null for too few of them. */
  public static @Nullable String digits(String words) {
    String digits = words.replaceAll("\\D", "");
    return digits.length() >= SHORTEST_DIGITS ? "%" + digits + "%" : null;
  }
}
