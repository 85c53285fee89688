package fabulum.server.platform;

import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * What the page is told of its surroundings.
 *
 * @param handsets address of the stand-in's handsets, where one runs beside it
 */
@ConfigurationProperties("fabulum.page")
public record PageSettings(@Nullable String handsets) {}
