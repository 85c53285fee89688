package fabulum.server.testing;

import java.net.http.HttpResponse;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What the server answered. */
public record Answer(int status, String body, HttpResponse<String> raw) {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  static Answer of(HttpResponse<String> response) {
    return new Answer(response.statusCode(), response.body(), response);
  }

  public JsonNode json() {
    return JSON.readTree(body);
  }

  public Answer require(int wanted) {
    if (status != wanted) {
      throw new AssertionError("Answered " + status + " instead of " + wanted + ": " + body);
    }
    return this;
  }

  public Optional<String> header(String name) {
    return raw.headers().firstValue(name);
  }

  /** The stable name of a problem, without its prefix. */
  public String problem() {
    return json().path("type").asString("").replace("urn:fabulum:problem:", "");
  }
}
