package fabulum.server.numbers;

import java.net.URI;
import java.time.Duration;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * The service that checks numbers.
 *
 * @param url where it listens; without it nothing is checked
 * @param key what it knows us by
 * @param timeout how long to wait for an answer
 */
@ConfigurationProperties("fabulum.number-check")
public record CheckSettings(
    @Nullable URI url, @DefaultValue("") String key, @DefaultValue("10s") Duration timeout) {
  @Override
  public String toString() {
    return "CheckSettings[" + url + "]";
  }
}
