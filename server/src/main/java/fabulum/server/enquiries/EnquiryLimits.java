package fabulum.server.enquiries;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fabulum.core.enquiry.Tally;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.stereotype.Component;

/**
 * How often something may be handed in: by address, number and form. Kept in memory only, so that a
 * flood fills nothing; a restart forgives. The codes to a number are counted in the database.
 */
@Component
class EnquiryLimits {
  private static final Duration SPAN = Duration.ofHours(1);

  /** A whole office or a phone company's customers can have one address. */
  private static final int OF_ADDRESS = 20;

  private static final int OF_NUMBER = 5;
  private static final int OF_FORM = 200;

  private final Clock clock;
  private final Cache<String, Tally> paces =
      Caffeine.newBuilder().maximumSize(50_000).expireAfterWrite(SPAN.multipliedBy(2)).build();

  EnquiryLimits(Clock clock) {
    this.clock = clock;
  }

  /**
   * Counts one more, and says whether it is still within what is usual.
   *
   * @param number in E.164
   */
  boolean mayGo(long form, String address, String number) {
    // One who floods uses up their own share, and not that of the form.
    return count("address " + address) <= OF_ADDRESS
        && count("number " + number) <= OF_NUMBER
        && count("form " + form) <= OF_FORM;
  }

  private int count(String key) {
    Instant now = clock.instant();
    return paces.asMap().merge(key, new Tally(now, 1), (had, one) -> had.next(now, SPAN)).count();
  }
}
