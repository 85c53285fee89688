package fabulum.server.platform;

import jakarta.validation.constraints.AssertTrue;
import jakarta.validation.constraints.Min;
import java.net.URI;
import java.time.Duration;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.validation.annotation.Validated;

/**
 * The phone network we use.
 *
 * @param url where it listens; without it nothing is sent
 * @param key what it knows us by
 * @param secret shared with it, to sign what it tells us; without it nothing it tells us is
 *     believed
 * @param timeout how long to wait for an answer
 * @param senders how many texts to single customers may be on their way to it at once; half as many
 *     of those that one act sends to many may be beside them
 */
@Validated
@ConfigurationProperties("fabulum.network")
public record NetworkSettings(
    @Nullable URI url,
    @DefaultValue("") String key,
    @DefaultValue("") String secret,
    @DefaultValue("10s") Duration timeout,
    @DefaultValue("6") @Min(1) int senders) {

  @AssertTrue(
      message =
          "fabulum.network.url needs fabulum.network.key and fabulum.network.secret beside it")
  boolean isComplete() {
    return url == null || !(key.isBlank() || secret.isBlank());
  }

  @Override
  public String toString() {
    return "NetworkSettings[" + url + "]";
  }
}
