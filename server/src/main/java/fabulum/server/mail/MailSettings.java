package fabulum.server.mail;

import java.time.Duration;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.validation.annotation.Validated;

/**
 * The mail server we send by.
 *
 * @param host where it listens; without it mail waits
 * @param from what stands as the sender
 * @param user if it wants to know who we are
 * @param timeout how long to wait for it
 */
@Validated
@ConfigurationProperties("fabulum.mail")
public record MailSettings(
    @Nullable String host,
    @DefaultValue("25") int port,
    @DefaultValue("fabulum@localhost") String from,
    @Nullable String user,
    @Nullable String password,
    @DefaultValue("10s") Duration timeout) {

  @Override
  public String toString() {
    return "MailSettings[" + host + ":" + port + "]";
  }
}
