package fabulum.server.testing;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublisher;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Speaks to the server as a page in a browser does: with cookies, and the token that guards against
 * foreign pages.
 */
public final class Browser {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final CookieManager cookies = new CookieManager();
  private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).build();
  private final int port;
  private boolean withToken = true;
  private @Nullable String forwardedFor;
  private @Nullable String key;

  Browser(int port) {
    this.port = port;
  }

  /** From now on it forgets the token. */
  public Browser withoutToken() {
    withToken = false;
    return this;
  }

  /** From now on a proxy says that its requests come from there. */
  public Browser from(String address) {
    forwardedFor = address;
    return this;
  }

  /** From now on it shows a key, as another program does. */
  public Browser withKey(String shown) {
    key = shown;
    return this;
  }

  /** Calls with a body as it stands, of any kind. */
  public Answer raw(String method, String path, String contentType, String body) {
    HttpRequest.Builder request = HttpRequest.newBuilder(address(path));
    request.method(method, BodyPublishers.ofString(body)).header("Content-Type", contentType);
    addToken(request);
    return send(http, request.build());
  }

  /** Carries a cookie that the server never gave it. */
  public void cookie(String name, String value) {
    HttpCookie cookie = new HttpCookie(name, value);
    cookie.setPath("/");
    cookie.setVersion(0);
    cookies.getCookieStore().add(URI.create("http://localhost:" + port + "/"), cookie);
  }

  private void addToken(HttpRequest.Builder request) {
    cookies.getCookieStore().getCookies().stream()
        .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
        .forEach(cookie -> request.header("X-XSRF-TOKEN", cookie.getValue()));
  }

  public Answer signIn(String name, String password) {
    get("/api/session");
    return post("/api/session", Map.of("name", name, "password", password));
  }

  public Answer get(String path) {
    return call("GET", path, null);
  }

  public Answer post(String path, @Nullable Object body) {
    return call("POST", path, body);
  }

  public Answer put(String path, Object body) {
    return call("PUT", path, body);
  }

  public Answer call(String method, String path, @Nullable Object body) {
    HttpRequest.Builder request = HttpRequest.newBuilder(address(path));
    request.method(
        method,
        body == null
            ? BodyPublishers.noBody()
            : BodyPublishers.ofString(JSON.writeValueAsString(body)));
    request.header("Content-Type", "application/json");
    if (key != null) {
      request.header("Authorization", "Bearer " + key);
    }
    return ask(method, path, request);
  }

  /** Sends a file, as a form does (RFC 7578). */
  public Answer upload(String path, String name, String words) {
    return upload(path, name, words.getBytes(StandardCharsets.UTF_8));
  }

  /** Hands in a file. */
  public Answer upload(String path, String name, byte[] octets) {
    BodyPublisher file = BodyPublishers.ofByteArray(octets);
    return ask("POST", path, file(path, name, file, BodyPublishers.ofString("\r\n--edge--\r\n")));
  }

  /** Is closed while it hands in a file of which the server has these octets. */
  public void closedWhileUploading(String path, String name, byte[] octets) {
    InputStream ends =
        new InputStream() {
          @Override
          public int read() throws IOException {
            throw new IOException("closed");
          }
        };
    BodyPublisher file = BodyPublishers.ofByteArray(octets);
    HttpRequest.Builder request = file(path, name, file, BodyPublishers.ofInputStream(() -> ends));
    assertThatThrownBy(() -> ask("POST", path, request)).isInstanceOf(UncheckedIOException.class);
  }

  private HttpRequest.Builder file(
      String path, String name, BodyPublisher octets, BodyPublisher end) {
    String head =
        "--edge\r\nContent-Disposition: form-data; name=\"file\"; filename=\""
            + name
            + "\"\r\nContent-Type: application/octet-stream\r\n\r\n";
    return HttpRequest.newBuilder(address(path))
        .POST(BodyPublishers.concat(BodyPublishers.ofString(head), octets, end))
        .header("Content-Type", "multipart/form-data; boundary=edge");
  }

  private Answer ask(String method, String path, HttpRequest.Builder request) {
    if (withToken) {
      addToken(request);
    }
    if (forwardedFor != null) {
      request.header("X-Forwarded-For", forwardedFor);
    }
    Answer answer = send(http, request.build());
    if (answer.status() >= 400) {
      Described.check(method, path, answer);
    }
    return answer;
  }

  /** Opens the live stream, after a position or from now on. */
  public LiveReader live(@Nullable String after) {
    return LiveReader.open(http, address("/api/live" + (after == null ? "" : "?after=" + after)));
  }

  /** The conversation of a number on a line. */
  public JsonNode conversationOf(String number) {
    for (JsonNode row :
        get("/api/conversations/jump?words=" + number.substring(1)).require(200).json()) {
      if (row.path("address").asString().equals(number)) {
        return row;
      }
    }
    throw new AssertionError("No conversation with " + number);
  }

  /** The entries of a script that carry words or stand for an event. */
  public JsonNode script(long conversation) {
    return get("/api/conversations/" + conversation + "/script")
        .require(200)
        .json()
        .path("entries");
  }

  /** Answers; the reference is fresh. */
  public Answer answer(long conversation, String words) {
    return post(
        "/api/conversations/" + conversation + "/texts",
        Map.of(
            "words",
            words,
            "reference",
            Fabulum.reference(),
            "confirmed",
            List.of("night", "same-text")));
  }

  private URI address(String path) {
    return URI.create("http://localhost:" + port + path);
  }

  static Answer send(HttpClient http, HttpRequest request) {
    try {
      return Answer.of(http.send(request, BodyHandlers.ofString()));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }
}
