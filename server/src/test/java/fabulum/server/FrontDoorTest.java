package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.OnSharedProgram;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

@OnSharedProgram
class FrontDoorTest {
  private static final Path WRITTEN = Path.of("..", "docs", "openapi.json");

  private final Fabulum fabulum;

  FrontDoorTest(Fabulum fabulum) {
    this.fabulum = fabulum;
  }

  @Test
  void aStrangerGets401OnEveryPathButSignIn() {
    RequestMappingHandlerMapping mapping =
        fabulum.context.getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class);
    int tried = 0;
    for (var info : mapping.getHandlerMethods().keySet()) {
      for (String pattern : info.getPatternValues()) {
        for (RequestMethod method : info.getMethodsCondition().getMethods()) {
          if (pattern.startsWith("/api")
              && !pattern.startsWith("/api/invitations/")
              && !(pattern.equals("/api/session") && method == RequestMethod.POST)) {
            String path = pattern.replaceAll("\\{[^}]+}", "1");
            Browser stranger = fabulum.browser();
            assertThat(stranger.call(method.name(), path, null).status())
                .as(method + " " + path)
                .isEqualTo(401);
            assertThat(stranger.call(method.name(), path, Map.of()).require(401).problem())
                .isEqualTo("not-signed-in");
            tried++;
          }
        }
      }
    }
    assertThat(tried).isGreaterThan(12);
    assertThat(fabulum.browser().get("/api/nowhere").status()).isEqualTo(401);
    assertThat(fabulum.browser().get("/api").status()).isEqualTo(401);
  }

  @Test
  void nameAndPasswordMustGoTogether() {
    Browser browser = fabulum.browser();
    Answer wrong = browser.signIn("wen", "not the password").require(401);
    assertThat(wrong.problem()).isEqualTo("wrong-password");
    assertThat(wrong.json().path("detail").asString()).isEqualTo("Wrong name or password.");
    assertThat(browser.signIn("", "").require(422).json().path("fields").size()).isEqualTo(2);
    assertThat(
            browser
                .signIn(" Maren ", Fabulum.PASSWORD)
                .require(200)
                .json()
                .path("staff")
                .path("name")
                .asString())
        .isEqualTo("Maren Oduya");
    browser.call("DELETE", "/api/session", null).require(204);
    browser.get("/api/session").require(401);
  }

  @Test
  void guessingGetsSlowerEvenWithTheRightPasswordAtTheEnd() {
    Browser guesser = fabulum.browser();
    for (int i = 0; i < 4; i++) {
      guesser.signIn("priya", "guess " + i).require(401);
    }
    Answer slow = guesser.signIn("priya", Fabulum.PASSWORD).require(429);
    assertThat(slow.problem()).isEqualTo("too-many-tries");
    assertThat(slow.header("Retry-After")).contains("3");

    fabulum.clock.advance(Duration.ofSeconds(3));
    guesser.signIn("priya", Fabulum.PASSWORD).require(200);
  }

  @Test
  void aForeignPageCannotActInMyName() {
    Browser maren = fabulum.signedIn("maren");
    assertThat(maren.withoutToken().post("/api/parts", Map.of("words", "x")).require(403).problem())
        .isEqualTo("stale-page");
    assertThat(
            fabulum
                .browser()
                .withoutToken()
                .signIn("maren", Fabulum.PASSWORD)
                .require(403)
                .problem())
        .isEqualTo("stale-page");
  }

  @Test
  void pagesComeWithAPolicyThatForbidsInlineAndForeignScripts() {
    Answer page = fabulum.browser().get("/inbox/12");
    assertThat(page.status()).isEqualTo(200);
    String policy = page.header("Content-Security-Policy").orElseThrow();
    assertThat(policy)
        .contains("default-src 'none'", "script-src 'self';", "frame-ancestors 'none'");
    assertThat(page.header("X-Content-Type-Options")).contains("nosniff");
    assertThat(page.header("Cache-Control").orElse("")).contains("no-cache");
    for (String file : new String[] {"/manifest.json", "/icon-192.png", "/licences.txt"}) {
      assertThat(fabulum.browser().get(file).status()).as(file).isEqualTo(200);
    }
  }

  @Test
  void theSessionCookieIsOutOfReachOfScriptsAndForeignPages() {
    Browser browser = fabulum.browser();
    String cookie =
        browser.signIn("maren", Fabulum.PASSWORD).raw().headers().allValues("Set-Cookie").stream()
            .filter(c -> c.startsWith("JSESSIONID"))
            .findFirst()
            .orElseThrow();
    assertThat(cookie).contains("HttpOnly").contains("SameSite=Strict");
  }

  @Test
  void theFirstStartMakesOneLeadWhoMustChooseAPassword(@TempDir Path folder) {
    ByteArrayOutputStream printed = new ByteArrayOutputStream();
    PrintStream console = System.out;
    System.setOut(new PrintStream(printed, true, StandardCharsets.UTF_8));
    try (Fabulum fresh = Fabulum.start(folder)) {
      System.setOut(console);
      Browser lead = fresh.browser();
      // Other programs may make their first start in this JVM meanwhile.
      Matcher password =
          Pattern.compile("port " + fresh.port() + " as\\s+name\\s+lead\\s+password\\s+(\\S+)")
              .matcher(printed.toString(StandardCharsets.UTF_8));
      assertThat(password.find()).isTrue();
      String given = password.group(1);
      lead.signIn("lead", given).require(200);
      assertThat(lead.get("/api/session").json().path("mustChangePassword").asBoolean()).isTrue();
      assertThat(lead.get("/api/lines").require(403).problem()).isEqualTo("password-change-needed");
      Answer weak =
          lead.put("/api/session/password", Map.of("old", "not it", "wanted", "lead")).require(422);
      assertThat(weak.json().path("fields").size()).isGreaterThanOrEqualTo(3);
      lead.put("/api/session/password", Map.of("old", given, "wanted", "three wet oars"))
          .require(200);
      lead.get("/api/lines").require(200);
      fresh.browser().signIn("lead", given).require(401);
      fresh.browser().signIn("lead", "three wet oars").require(200);
    } finally {
      System.setOut(console);
    }
    String[] line = {
      "--fabulum.lines[0].site=Pier",
      "--fabulum.lines[0].name=Front desk",
      "--fabulum.lines[0].number=" + Fabulum.DOCK,
      "--fabulum.lines[0].region=US",
      "--fabulum.lines[0].zone=America/Chicago",
      "--fabulum.lines[0].hours=Mon-Fri 8:00-17:00",
      "--fabulum.lines[0].promise=30m"
    };
    for (int start = 0; start < 2; start++) {
      try (Fabulum again = Fabulum.start(folder, line)) {
        Browser lead = again.browser();
        lead.signIn("lead", "three wet oars").require(200);
        assertThat(lead.get("/api/lines").json().size())
            .as("configured, and added once")
            .isEqualTo(1);
        again.webhook().text(again.freshNumber(), Fabulum.DOCK, "hello").require(200);
      }
    }
  }

  /**
   * The file from which the interface's types are made. {@code -Dopenapi.write=true} writes it
   * again.
   */
  @Test
  void theWrittenDescriptionOfTheApiIsTheServedOne() throws Exception {
    JsonMapper json =
        JsonMapper.builder()
            .enable(SerializationFeature.INDENT_OUTPUT)
            .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
            .build();
    JsonNode served = fabulum.signedIn("maren").get("/api/openapi-made").require(200).json();
    String text = json.writeValueAsString(json.treeToValue(served, Object.class)) + "\n";
    Files.writeString(Path.of("target", "openapi.json"), text);
    if (Boolean.getBoolean("openapi.write")) {
      Files.writeString(WRITTEN, text);
    }
    assertThat(fabulum.signedIn("maren").get("/api/openapi").require(200).body())
        .isEqualTo(Files.readString(WRITTEN));
    assertThat(Files.readString(WRITTEN))
        .as("run the server's tests with -Dopenapi.write=true")
        .isEqualTo(text);
    assertThat(((ObjectNode) served.path("paths")).propertyNames())
        .contains("/api/conversations/{id}/texts")
        .noneMatch(p -> !p.startsWith("/api"));
  }

  @Test
  void everyOperationSaysWhatItDoesAndWhichProblemsItCanAnswer() throws Exception {
    JsonNode api = JsonMapper.shared().readTree(Files.readString(WRITTEN));
    List<String> wanting = new ArrayList<>();
    api.path("paths")
        .propertyStream()
        .forEach(path ->
            path.getValue()
                .propertyStream()
                .forEach(operation -> {
                  JsonNode said = operation.getValue();
                  boolean problems =
                      said.path("responses")
                          .propertyStream()
                          .anyMatch(answer ->
                              answer.getValue().path("content").has("application/problem+json"));
                  if (said.path("summary").asString("").length() < 10 || !problems) {
                    wanting.add(operation.getKey() + " " + path.getKey());
                  }
                }));
    api.path("components")
        .path("schemas")
        .propertyStream()
        .filter(schema -> schema.getValue().path("description").asString("").isEmpty())
        .filter(schema -> !schema.getValue().has("enum"))
        .forEach(schema -> wanting.add("schema " + schema.getKey()));
    api.path("tags")
        .valueStream()
        .filter(tag -> tag.path("description").asString("").isEmpty())
        .forEach(tag -> wanting.add("tag " + tag.path("name").asString()));
    assertThat(wanting).isEmpty();
  }
}
