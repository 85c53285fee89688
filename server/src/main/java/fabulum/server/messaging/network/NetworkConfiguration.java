package fabulum.server.messaging.network;

import fabulum.core.delivery.Gateway;
import fabulum.server.platform.NetworkSettings;
import java.net.URI;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.json.JsonMapper;

/** Chooses the way to the network. */
@Configuration(proxyBeanMethods = false)
class NetworkConfiguration {

  @Bean
  Gateway gateway(NetworkSettings settings, JsonMapper json) {
    URI url = settings.url();
    return url == null ? new NoNetwork() : new HttpGateway(url, settings, json);
  }
}
