package fabulum.server.feed;

import jakarta.validation.constraints.Size;
import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.validation.annotation.Validated;

/**
 * The feed of changes.
 *
 * @param node the name of this process, where several share one database: each has its own
 * @param kept how long changes stay in the feed
 */
@Validated
@ConfigurationProperties("fabulum.feed")
public record FeedSettings(
    @DefaultValue("fabulum") @Size(min = 1, max = 60) String node,
    @DefaultValue("3d") Duration kept) {}
