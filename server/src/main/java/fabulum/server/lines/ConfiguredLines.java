package fabulum.server.lines;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;

/** Adds the lines that the configuration names, before anybody can come in. */
@Component
class ConfiguredLines implements SmartInitializingSingleton {
  private static final Logger log = LoggerFactory.getLogger(ConfiguredLines.class);

  private final LineSettings settings;
  private final Lines lines;

  ConfiguredLines(LineSettings settings, Lines lines) {
    this.settings = settings;
    this.lines = lines;
  }

  @Override
  public void afterSingletonsInstantiated() {
    settings.lines().stream()
        .map(LineSettings.ConfiguredLine::line)
        .filter(line -> lines.findByNumber(line.number()).isEmpty())
        .forEach(line -> {
          lines.add(line);
          log.info("Added the line {}", line.name());
        });
  }
}
