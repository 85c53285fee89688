package fabulum.server.enquiries;

import fabulum.server.accounts.Secrets;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;

/**
 * What is given with the page of a form and comes back with it, so that handing in the same page
 * twice is one enquiry, and only pages of ours can be handed in.
 */
@Component
public class FormTokens {
  private static final String KEY = "web-forms";
  private static final Duration GOOD = Duration.ofDays(1);
  private static final Pattern FORM =
      Pattern.compile("([0-9a-f-]{36})\\.(\\d{1,12})\\.([0-9a-f]{64})");

  private final Secrets secrets;
  private final Clock clock;

  FormTokens(Secrets secrets, Clock clock) {
    this.secrets = secrets;
    this.clock = clock;
  }

  /** A new one for a form. */
  public String make(FormView form) {
    String id = UUID.randomUUID().toString();
    long at = clock.instant().getEpochSecond();
    return id + "." + at + "." + print(form, id, at);
  }

  /** The reference in one that was given for a form within a day. */
  public Optional<String> read(FormView form, String token) {
    Matcher parts = FORM.matcher(token);
    if (!parts.matches()) {
      return Optional.empty();
    }
    long at = Long.parseLong(parts.group(2));
    byte[] found = parts.group(3).getBytes(StandardCharsets.US_ASCII);
    byte[] ours = print(form, parts.group(1), at).getBytes(StandardCharsets.US_ASCII);
    boolean good =
        MessageDigest.isEqual(found, ours)
            && Instant.ofEpochSecond(at).plus(GOOD).isAfter(clock.instant());
    return good ? Optional.of(parts.group(1)) : Optional.empty();
  }

  private String print(FormView form, String id, long at) {
    return secrets.fingerprint(KEY, form.address() + " " + id + " " + at);
  }
}
