package fabulum.server.numbers.checker;

import fabulum.server.numbers.CheckSettings;
import fabulum.server.numbers.Checker;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Asks over HTTP; see {@code docs/number-check.md}. */
final class HttpChecker implements Checker {
  private final URI url;
  private final CheckSettings settings;
  private final JsonMapper json;
  private final HttpClient http;

  HttpChecker(URI url, CheckSettings settings, JsonMapper json) {
    this.url = url.resolve("/number-checks");
    this.settings = settings;
    this.json = json;
    this.http = HttpClient.newBuilder().connectTimeout(settings.timeout()).build();
  }

  @Override
  public boolean isThere() {
    return true;
  }

  private record Question(List<String> numbers) {}

  private record Answer(List<Checked> numbers) {}

  @Override
  public List<Checked> check(List<String> numbers) {
    HttpRequest request =
        HttpRequest.newBuilder(url)
            .timeout(settings.timeout())
            .header("Authorization", "Bearer " + settings.key())
            .header("Content-Type", "application/json")
            .POST(BodyPublishers.ofString(json.writeValueAsString(new Question(numbers))))
            .build();
    try {
      HttpResponse<String> answer = http.send(request, BodyHandlers.ofString());
      if (answer.statusCode() != 200) {
        throw new CheckFailed("It answered " + answer.statusCode());
      }
      return List.copyOf(json.readValue(answer.body(), Answer.class).numbers());
    } catch (IOException | JacksonException | NullPointerException broken) {
      throw new CheckFailed(broken.getClass().getSimpleName());
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new CheckFailed("Stopped");
    }
  }
}
