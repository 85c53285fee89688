package fabulum.server.platform;

import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * What the page is told of its surroundings.
 *
 * @param handsets address of the stand-in's handsets, where one runs beside it
 * @param address where people find the application, for links in mails; empty for wherever the one
 *     who sends them found it
 */
@ConfigurationProperties("fabulum.page")
public record PageSettings(@Nullable String handsets, @Nullable String address) {}
