package fabulum.demo;

import java.io.IOException;
import java.io.InputStream;
import java.net.CookieManager;
import java.net.HttpURLConnection;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.stream.Collectors;

/** Speaks to a program that {@link Volume} filled as a page does, for measuring. */
public final class VolumeClient {
  private static final int OK = 200;

  private final HttpClient http;
  private final String base;
  private final String cookies;

  /**
   * Signs in.
   *
   * @param name of a colleague that {@link Volume} made
   */
  public VolumeClient(int port, String name) throws IOException, InterruptedException {
    CookieManager jar = new CookieManager();
    this.http = HttpClient.newBuilder().cookieHandler(jar).build();
    this.base = "http://localhost:" + port;
    send(HttpRequest.newBuilder(URI.create(base + "/api/session")));
    String token =
        jar.getCookieStore().getCookies().stream()
            .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
            .findFirst()
            .orElseThrow()
            .getValue();
    String body = "{\"name\":\"" + name + "\",\"password\":\"" + Volume.PASSWORD + "\"}";
    HttpRequest.Builder signIn =
        HttpRequest.newBuilder(URI.create(base + "/api/session"))
            .header("X-XSRF-TOKEN", token)
            .header("Content-Type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString(body));
    require("signing in", send(signIn));
    this.cookies =
        jar.getCookieStore().getCookies().stream()
            .map(cookie -> cookie.getName() + "=" + cookie.getValue())
            .collect(Collectors.joining("; "));
  }

  /**
   * What is at an address; an answer other than 200 is an error. Asked in the thread of the caller,
   * on a connection that is kept: what is measured is the program, and not how threads of a client
   * wake each other.
   */
  public String get(String path) throws IOException {
    HttpURLConnection asked = (HttpURLConnection) URI.create(base + path).toURL().openConnection();
    asked.setRequestProperty("Cookie", cookies);
    if (asked.getResponseCode() != OK) {
      throw new IllegalStateException(path + " was answered " + asked.getResponseCode());
    }
    try (InputStream body = asked.getInputStream()) {
      return new String(body.readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  /** Opens a stream and leaves it open; what comes on it is read and forgotten. */
  public void listen(String path) {
    http.sendAsync(
        HttpRequest.newBuilder(URI.create(base + path)).build(),
        HttpResponse.BodyHandlers.discarding());
  }

  private static void require(String what, HttpResponse<String> answer) {
    if (answer.statusCode() != OK) {
      throw new IllegalStateException(what + " was answered " + answer.statusCode());
    }
  }

  private HttpResponse<String> send(HttpRequest.Builder request)
      throws IOException, InterruptedException {
    return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
  }
}
