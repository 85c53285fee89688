package fabulum.server.platform;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.util.unit.DataSize;

/**
 * Room that is kept free on the disk with the data.
 *
 * @param tellBelow with less than this leads are told
 * @param stopBelow with less than this nothing is written any more, and reading goes on: a database
 *     that meets a full disk while it writes closes itself
 */
@ConfigurationProperties("fabulum.disk")
public record DiskSettings(
    @DefaultValue("2GB") DataSize tellBelow, @DefaultValue("256MB") DataSize stopBelow) {}
