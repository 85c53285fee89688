package fabulum.server.platform;

import java.nio.file.Path;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * Where data is kept.
 *
 * @param data a folder; made when it does not exist
 */
@ConfigurationProperties("fabulum")
public record DataSettings(@DefaultValue("./data") Path data) {}
