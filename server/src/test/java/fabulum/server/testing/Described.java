package fabulum.server.testing;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Holds every problem that a test meets to the description of the API: an operation answers only
 * with problems that it names.
 */
final class Described {
  /** Where there is no such operation, or what was sent is no HTTP that it could take. */
  private static final Set<String> OF_NO_OPERATION =
      Set.of("urn:fabulum:problem:method-not-allowed", "urn:fabulum:problem:broken");

  private static final List<Operation> OPERATIONS = read();

  private record Operation(String method, Pattern path, int variables, String problems) {}

  private Described() {}

  private static List<Operation> read() {
    try {
      JsonNode api =
          JsonMapper.shared().readTree(Files.readString(Path.of("../docs/openapi.json")));
      List<Operation> all = new ArrayList<>();
      api.path("paths")
          .propertyStream()
          .forEach(path ->
              path.getValue()
                  .propertyStream()
                  .forEach(each ->
                      all.add(
                          new Operation(
                              each.getKey().toUpperCase(Locale.ROOT),
                              Pattern.compile(path.getKey().replaceAll("\\{[^}]+}", "[^/]+")),
                              path.getKey().split("\\{").length,
                              each.getValue().path("responses").toString()))));
      return all;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Fails when the operation does not name the problem. */
  static void check(String method, String address, Answer answer) {
    if (!answer.body().startsWith("{")) {
      return;
    }
    String type = answer.json().path("type").asString("");
    String path = address.replaceAll("\\?.*", "");
    Optional<Operation> operation =
        OPERATIONS.stream()
            .filter(each -> each.method().equals(method) && each.path().matcher(path).matches())
            .min((a, b) -> Integer.compare(a.variables(), b.variables()));
    if (operation.isPresent()
        && !OF_NO_OPERATION.contains(type)
        && !operation.get().problems().contains(type + ":")) {
      throw new AssertionError(
          method + " " + path + " answered " + type + ", which its description does not name");
    }
  }
}
