package fabulum.server.accounts;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fabulum.core.access.GuessPace;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * Failures in a row. Who guesses from one place slows down that place and nobody else: failures are
 * counted by account and address together, and by address; a browser that has signed in here before
 * is counted by itself. Kept in memory only: a restart forgives.
 */
@Component
class LoginThrottle {
  /** An address may serve a whole office, so it is given more tries than one account at it. */
  private static final int TRIES_OF_AN_ADDRESS = 5;

  private final Clock clock;
  private final Cache<String, Failures> failures =
      Caffeine.newBuilder().maximumSize(50_000).expireAfterWrite(Duration.ofMinutes(30)).build();

  LoginThrottle(Clock clock) {
    this.clock = clock;
  }

  /** How long to wait before the next try; zero for none. */
  Duration waitFor(String account, SignIns.From from) {
    return counters(account, from).stream()
        .map(counter -> left(counter.key(), counter.patience()))
        .max(Duration::compareTo)
        .orElse(Duration.ZERO);
  }

  void failed(String account, SignIns.From from) {
    counters(account, from).forEach(counter -> count(counter.key()));
  }

  void succeeded(String account, SignIns.From from) {
    failures.invalidate(counters(account, from).get(0).key());
  }

  /** A counter of failures; with more patience it takes more of them before it slows down. */
  private record Counter(String key, int patience) {}

  /** The counters of an attempt, that of the account first. */
  private static List<Counter> counters(String account, SignIns.From from) {
    if (from.browser() != null) {
      String browser = "browser " + from.browser();
      return List.of(
          new Counter(browser + " " + account, 1), new Counter(browser, TRIES_OF_AN_ADDRESS));
    }
    String address = "address " + from.address();
    return List.of(
        new Counter(address + " " + account, 1), new Counter(address, TRIES_OF_AN_ADDRESS));
  }

  private Duration left(String key, int patience) {
    Failures had = failures.getIfPresent(key);
    if (had == null) {
      return Duration.ZERO;
    }
    Instant free = had.last().plus(GuessPace.waitAfter(had.count() / patience));
    Duration left = Duration.between(clock.instant(), free);
    return left.isNegative() ? Duration.ZERO : left;
  }

  private void count(String key) {
    failures
        .asMap()
        .merge(
            key,
            new Failures(1, clock.instant()),
            (had, one) -> new Failures(had.count() + 1, one.last()));
  }

  private record Failures(int count, Instant last) {}
}
