package fabulum.server.platform;

import java.nio.file.Path;
import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * Where data is kept.
 *
 * @param data a folder; made when it does not exist
 * @param writeDelay how long after it was acknowledged a commit may still be lost when the process
 *     is killed; none, but for tests that kill nothing
 */
@ConfigurationProperties("fabulum")
public record DataSettings(
    @DefaultValue("./data") Path data, @DefaultValue("0ms") Duration writeDelay) {

  /**
   * Where files are kept beside the database; what is still being written lies in {@code parts}.
   */
  public Path files() {
    return data.toAbsolutePath().normalize().resolve("files");
  }

  /** Where files lie that people take out, for some days. */
  public Path exports() {
    return data.toAbsolutePath().normalize().resolve("exports");
  }

  /** Where the words of History are kept for searching; made anew when it is missing. */
  public Path history() {
    return data.toAbsolutePath().normalize().resolve("history");
  }

  /** Where it is kept what texts mean; made anew when it is missing. */
  public Path meanings() {
    return data.toAbsolutePath().normalize().resolve("meanings");
  }
}
