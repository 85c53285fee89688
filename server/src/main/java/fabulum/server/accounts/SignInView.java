package fabulum.server.accounts;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * One attempt to sign in and how it went on, or the refused attempts of one hour on one account.
 *
 * @param staffId whose account it was, where there is one of that name
 * @param name of the account; empty where there is none of that name
 * @param address where it came from
 * @param agent what the browser calls itself
 * @param tries how many attempts these are; address, agent and time are those of the last
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
    int tries,
    @Nullable Instant endedAt) {

  /** What came of it. */
  public enum Outcome {
    IN,
    WRONG,
    SLOWED
  }
}
