package fabulum.server.people;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fabulum.core.access.GuessPace;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.stereotype.Component;

/** Failures in a row, by account and by address. Kept in memory only: a restart forgives. */
@Component
class GuessLog {
  /** An address may serve a whole office, so it is given more tries than an account. */
  private static final int TRIES_OF_AN_ADDRESS = 5;

  private final Clock clock;
  private final Cache<String, Failures> failures =
      Caffeine.newBuilder().maximumSize(50_000).expireAfterWrite(Duration.ofMinutes(30)).build();

  GuessLog(Clock clock) {
    this.clock = clock;
  }

  /** How long to wait before the next try; zero for none. */
  Duration waitFor(String account, String address) {
    Duration byAccount = left(keyOfAccount(account), 1);
    Duration byAddress = left(keyOfAddress(address), TRIES_OF_AN_ADDRESS);
    return byAccount.compareTo(byAddress) > 0 ? byAccount : byAddress;
  }

  void failed(String account, String address) {
    count(keyOfAccount(account));
    count(keyOfAddress(address));
  }

  void succeeded(String account) {
    failures.invalidate(keyOfAccount(account));
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

  private static String keyOfAccount(String account) {
    return "account " + account;
  }

  private static String keyOfAddress(String address) {
    return "address " + address;
  }

  private record Failures(int count, Instant last) {}
}
