package fabulum.server.numbers.checker;

import fabulum.server.numbers.CheckSettings;
import fabulum.server.numbers.Checker;
import java.net.URI;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.json.JsonMapper;

/** Chooses the way to the service. */
@Configuration(proxyBeanMethods = false)
class CheckerConfiguration {

  @Bean
  Checker checker(CheckSettings settings, JsonMapper json) {
    URI url = settings.url();
    return url == null ? new NoChecker() : new HttpChecker(url, settings, json);
  }

  /** There is none. */
  private static final class NoChecker implements Checker {
    @Override
    public boolean isThere() {
      return false;
    }

    @Override
    public List<Checked> check(List<String> numbers) {
      throw new CheckFailed("No service is set up");
    }
  }
}
