package fabulum.server.attachments;

import fabulum.server.attachments.FileStore.Part;
import fabulum.server.platform.NetworkSettings;
import java.io.IOException;
import java.net.URI;
import java.util.Locale;
import java.util.Objects;
import org.apache.hc.client5.http.DnsResolver;
import org.apache.hc.client5.http.SystemDefaultDnsResolver;
import org.apache.hc.client5.http.classic.methods.HttpGet;
import org.apache.hc.client5.http.config.ConnectionConfig;
import org.apache.hc.client5.http.config.RequestConfig;
import org.apache.hc.client5.http.impl.classic.CloseableHttpClient;
import org.apache.hc.client5.http.impl.classic.HttpClients;
import org.apache.hc.client5.http.impl.io.PoolingHttpClientConnectionManagerBuilder;
import org.apache.hc.core5.http.ClassicHttpResponse;
import org.apache.hc.core5.util.Timeout;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/**
 * Fetches what came with a text. The network that is set up may be inside our own network, and is
 * shown our key; every other host has to be outside of it and is spoken to by HTTPS. No redirect is
 * followed.
 */
@Component
class Download implements DisposableBean {
  private static final int OK = 200;
  private static final int HTTPS = 443;
  private static final int HTTP = 80;

  private final FileStore store;
  private final NetworkSettings network;
  private final CloseableHttpClient ofNetwork;
  private final CloseableHttpClient ofOthers;

  Download(FileStore store, NetworkSettings network) {
    this.store = store;
    this.network = network;
    this.ofNetwork = client(SystemDefaultDnsResolver.INSTANCE, network);
    this.ofOthers = client(new OutsideOnly(), network);
  }

  private static CloseableHttpClient client(DnsResolver names, NetworkSettings network) {
    Timeout patience = Timeout.of(network.timeout());
    return HttpClients.custom()
        .setConnectionManager(
            PoolingHttpClientConnectionManagerBuilder.create()
                .setDnsResolver(names)
                .setDefaultConnectionConfig(
                    ConnectionConfig.custom()
                        .setConnectTimeout(patience)
                        .setSocketTimeout(patience)
                        .build())
                .build())
        .setDefaultRequestConfig(RequestConfig.custom().setResponseTimeout(patience).build())
        .disableRedirectHandling()
        .disableCookieManagement()
        .disableAutomaticRetries()
        .disableContentCompression()
        .build();
  }

  /** It cannot be had from there, however often it is tried. */
  static final class Refused extends IOException {
    private static final long serialVersionUID = 1L;

    Refused(String why) {
      super(why);
    }
  }

  /**
   * Fetches a file.
   *
   * @param most octets that are read
   * @throws Refused when the address cannot be asked at all
   */
  Part fetch(String url, long most) throws IOException {
    URI from = read(url);
    boolean own = isOfNetwork(from);
    if (!own && !"https".equalsIgnoreCase(from.getScheme())) {
      throw new Refused("Only addresses of the network itself, or with https, are asked.");
    }
    HttpGet request = new HttpGet(from);
    if (own) {
      request.setHeader("Authorization", "Bearer " + network.key());
    }
    return (own ? ofNetwork : ofOthers).execute(request, answer -> take(answer, most));
  }

  private Part take(ClassicHttpResponse answer, long most) throws IOException {
    if (answer.getCode() != OK || answer.getEntity() == null) {
      throw new IOException("It was answered with " + answer.getCode() + ".");
    }
    return store.read(answer.getEntity().getContent(), most);
  }

  private static URI read(String url) throws Refused {
    try {
      URI read = URI.create(url);
      if (read.getHost() == null || read.getUserInfo() != null) {
        throw new Refused("It is not an address of a file.");
      }
      return read;
    } catch (IllegalArgumentException noAddress) {
      throw new Refused("It is not an address of a file.");
    }
  }

  private boolean isOfNetwork(URI asked) {
    URI base = network.url();
    return base != null
        && Objects.equals(lower(base.getScheme()), lower(asked.getScheme()))
        && Objects.equals(lower(base.getHost()), lower(asked.getHost()))
        && port(base) == port(asked);
  }

  private static @Nullable String lower(@Nullable String words) {
    return words == null ? null : words.toLowerCase(Locale.ROOT);
  }

  private static int port(URI uri) {
    if (uri.getPort() >= 0) {
      return uri.getPort();
    }
    return "https".equalsIgnoreCase(uri.getScheme()) ? HTTPS : HTTP;
  }

  @Override
  public void destroy() throws IOException {
    ofNetwork.close();
    ofOthers.close();
  }
}
