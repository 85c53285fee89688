package fabulum.server.platform.web;

import fabulum.server.platform.ProxySettings;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/** Believes what the configured proxies say of where a request came from, and nobody else. */
@Component
class Proxies implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
  private final ProxySettings settings;

  Proxies(ProxySettings settings) {
    this.settings = settings;
  }

  @Override
  public void customize(TomcatServletWebServerFactory server) {
    if (settings.proxies().isEmpty()) {
      return;
    }
    RemoteIpValve valve = new RemoteIpValve();
    valve.setInternalProxies(
        settings.proxies().stream().map(Pattern::quote).collect(Collectors.joining("|")));
    valve.setRemoteIpHeader("X-Forwarded-For");
    valve.setProtocolHeader("X-Forwarded-Proto");
    server.addEngineValves(valve);
  }
}
