package fabulum.standins;

import java.net.URI;
import java.nio.file.Path;
import java.time.Duration;
import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * How the network is set up.
 *
 * @param data a folder for its journal
 * @param webhook where it tells what happens
 * @param key what it asks its customers for
 * @param secret with which it signs what it tells
 * @param directory a JSON file with lines and people, for the handsets page
 * @param carrying how long a text travels to its handset
 * @param mailPort where its mail server listens; 0 for none
 * @param region what a number without country code means on the handsets page
 * @param at a moment at which the clock stands; empty for the real time
 * @param self where the network itself is found, for what goes with texts
 * @param runs with {@code at}: the clock runs on from there
 */
@ConfigurationProperties("standins")
public record Settings(
    @DefaultValue("./data") Path data,
    @DefaultValue("http://localhost:8080/webhook/network") URI webhook,
    @DefaultValue("stand-in-key") String key,
    @DefaultValue("stand-in-secret") String secret,
    @Nullable Path directory,
    @DefaultValue("300ms") Duration carrying,
    @DefaultValue("0") int mailPort,
    @DefaultValue("US") String region,
    @Nullable OffsetDateTime at,
    String self,
    boolean runs) {}
