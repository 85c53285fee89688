package fabulum.server.people;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * One attempt to sign in, and how it went on.
 *
 * @param staffId whose account it was, where there is one of that name
 * @param name as it was typed
 * @param address where it came from
 * @param agent what the browser calls itself
 * @param endedAt when it ended, if it let anybody in
 */
public record SignInView(
    long id,
    Instant at,
    @Nullable Long staffId,
    String name,
    String address,
    String agent,
    Outcome outcome,
    @Nullable Instant endedAt) {

  /** What came of it. */
  public enum Outcome {
    IN,
    WRONG,
    SLOWED
  }
}
