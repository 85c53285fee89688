package fabulum.server.messaging;

import fabulum.core.delivery.Gateway;
import fabulum.core.delivery.Gateway.GatewayUnavailable;
import fabulum.core.delivery.Gateway.IncomingText;
import fabulum.core.delivery.Gateway.Listing;
import fabulum.server.platform.NetworkSettings;
import fabulum.server.platform.Problem;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Asks the network what it received for us, in case a call of its webhook never reached us: soon
 * after the start back to a day before the newest text we have, then every few minutes. What we
 * have already is not taken twice.
 */
@Component
class CatchUp {
  private static final Logger log = LoggerFactory.getLogger(CatchUp.class);
  private static final Duration AT_START = Duration.ofDays(1);
  private static final Duration OVERLAP = Duration.ofMinutes(10);

  /** What will not be otherwise when it is tried again. */
  private static final Set<Problem.Kind> NEVER =
      Set.of(Problem.Kind.BAD_FIELDS, Problem.Kind.UNKNOWN_LINE);

  private static final Duration WITHOUT_ANY = Duration.ofDays(30);

  private final Gateway gateway;
  private final Inbound inbound;
  private final KeptAside kept;
  private final Arrivals arrivals;
  private final NetworkSettings settings;
  private final Clock clock;
  private volatile @Nullable Instant caughtUpTo;

  CatchUp(
      Gateway gateway,
      Inbound inbound,
      KeptAside kept,
      Arrivals arrivals,
      NetworkSettings settings,
      Clock clock) {
    this.gateway = gateway;
    this.inbound = inbound;
    this.kept = kept;
    this.arrivals = arrivals;
    this.settings = settings;
    this.clock = clock;
  }

  /** Asks once. */
  @Scheduled(initialDelay = 3, fixedDelay = 180, timeUnit = TimeUnit.SECONDS)
  void ask() {
    if (settings.url() == null) {
      return;
    }
    Instant now = clock.instant();
    try {
      Listing listing = gateway.listReceived(from(now), now.plusSeconds(1));
      listing.unreadable().forEach(one -> kept.keep(one.asItCame(), one.why()));
      int missed = 0;
      boolean all = true;
      for (IncomingText text : listing.texts()) {
        try {
          missed += take(text) ? 1 : 0;
        } catch (RuntimeException broken) {
          // Those behind it go on; it is asked for again the next time.
          log.warn("A listed text could not be taken now; trying again", broken);
          all = false;
        }
      }
      if (missed > 0) {
        log.info("{} texts had not reached us and were fetched", missed);
      }
      if (all) {
        caughtUpTo = now;
      }
    } catch (GatewayUnavailable later) {
      log.warn(
          "The network does not say what it received; asking again later: {}", later.getMessage());
    }
  }

  private Instant from(Instant now) {
    Instant last = caughtUpTo;
    if (last != null) {
      return last.minus(OVERLAP);
    }
    return arrivals
        .findLastReceived()
        .map(newest -> newest.minus(AT_START))
        .orElse(now.minus(WITHOUT_ANY));
  }

  private boolean take(IncomingText text) {
    try {
      return inbound.receive(text);
    } catch (Problem impossible) {
      if (!NEVER.contains(impossible.kind())) {
        throw impossible;
      }
      kept.keep(text, String.valueOf(impossible.getMessage()));
      return false;
    }
  }
}
