package fabulum.server.numbers;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** The service that checks numbers. */
public interface Checker {
  /** Whether there is one. */
  boolean isThere();

  /**
   * Asks about numbers at once.
   *
   * @param numbers in E.164, at most 100
   * @return what is known of each, in any order; one that is missing is asked about again
   * @throws CheckFailed when it cannot be reached or answers something else
   */
  List<Checked> check(List<String> numbers);

  /** What it said of a number. */
  record Checked(
      String number, Reach reach, @Nullable String carrier, @Nullable String registeredTo) {}

  /** It gave no answer that can be used. */
  final class CheckFailed extends RuntimeException {
    private static final long serialVersionUID = 1;

    /** Says why. */
    public CheckFailed(String why) {
      super(why);
    }
  }
}
