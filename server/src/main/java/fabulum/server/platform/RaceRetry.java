package fabulum.server.platform;

import java.util.function.Supplier;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DuplicateKeyException;

/** Runs again what lost a race for a row. */
public final class RaceRetry {
  private static final int TRIES = 4;

  private RaceRetry() {}

  /**
   * Runs a whole transaction; when two at once make the same row (a number, a conversation), the
   * slower one is run again and finds it. Call outside a transaction.
   */
  public static <T> T run(Supplier<T> transaction) {
    for (int tries = 1; ; tries++) {
      try {
        return transaction.get();
      } catch (DuplicateKeyException | ConcurrencyFailureException race) {
        if (tries == TRIES) {
          throw race;
        }
      }
    }
  }
}
