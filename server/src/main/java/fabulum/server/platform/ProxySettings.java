package fabulum.server.platform;

import java.util.List;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * Proxies in front of the program.
 *
 * @param proxies their addresses, as the program sees them; what others say of where a request came
 *     from is not believed
 */
@ConfigurationProperties("fabulum")
public record ProxySettings(@DefaultValue List<String> proxies) {
  public ProxySettings {
    proxies = List.copyOf(proxies);
  }
}
