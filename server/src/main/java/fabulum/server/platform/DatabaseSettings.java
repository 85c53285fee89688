package fabulum.server.platform;

import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.validation.annotation.Validated;

/**
 * A PostgreSQL server (15 or later) that keeps the data, in place of the file in the data folder.
 *
 * @param url {@code jdbc:postgresql://host:port/database}; without it the file is used
 * @param user who may create tables there
 * @param password of that user
 * @param connections how many are open at most
 * @param node the name of this process, where several share the database: each has its own
 */
@Validated
@ConfigurationProperties("fabulum.database")
public record DatabaseSettings(
    @Nullable String url,
    @DefaultValue("fabulum") String user,
    @DefaultValue("") String password,
    @DefaultValue("12") int connections,
    @DefaultValue("fabulum") @Size(min = 1, max = 60) String node) {}
