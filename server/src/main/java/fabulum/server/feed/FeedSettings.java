package fabulum.server.feed;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.validation.annotation.Validated;

/**
 * The feed of changes.
 *
 * @param kept how long changes stay in the feed
 */
@Validated
@ConfigurationProperties("fabulum.feed")
public record FeedSettings(@DefaultValue("3d") Duration kept) {}
