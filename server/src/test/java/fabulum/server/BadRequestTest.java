package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.OnSharedProgram;
import fabulum.server.testing.TwoTeams;
import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is the caller's fault is never answered as ours. */
@OnSharedProgram
class BadRequestTest {
  private static final String FAR = "+999999999-12-31";
  private final Fabulum fabulum;
  private final Browser maren;

  BadRequestTest(Fabulum fabulum) {
    this.fabulum = fabulum;
    this.maren = fabulum.signedIn("maren");
  }

  private static void isTheCallersFault(Answer answer, String as) {
    assertThat(answer.status()).as(as + ": " + answer.body()).isBetween(400, 499);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "/api/conversations/jump?words=%FF%FE",
        "/api/conversations?group=%C3%28",
        "/?words=%FF",
        "/api/conversations?group=OUR_TURN&from=%2B999999999-12-31T00:00:00Z~1",
        "/api/conversations?group=OUR_TURN&from=-999999999-01-01T00:00:00Z~1",
        "/api/conversations?group=OUR_TURN&sentence=from%20%2B999999999-12-31",
        "/api/conversations?group=OUR_TURN&sentence=to%20-999999999-01-01",
        "/api/conversations?group=OUR_TURN&sentence=last%2099999999999",
        "/api/conversations/99999999999999999999",
        "/api/setup/holidays/x!",
        "/error"
      })
  void aQueryThatCannotBeReadIsRefused(String path) throws IOException {
    // The address goes out as it stands; a client of HTTP would mend it.
    int status = statusOf("GET " + path + " HTTP/1.1", "", "");
    assertThat(status).as(path).isIn(200, 400, 401, 404, 422);
    if (path.startsWith("/api") && !path.contains("%FF") && !path.contains("%C3")) {
      isTheCallersFault(maren.get(path), path);
    }
  }

  @ParameterizedTest
  @CsvSource({"/", "/api/session", "/api/parts", "/webhook/network", "/api/invitations/x"})
  void multipartWithoutABoundaryIsRefused(String path) throws IOException {
    assertThat(statusOf("POST " + path + " HTTP/1.1", "Content-Type: multipart/form-data", "x"))
        .as(path)
        .isBetween(400, 499);
    isTheCallersFault(maren.raw("POST", path, "multipart/form-data", "x"), path);
  }

  private int statusOf(String request, String header, String body) throws IOException {
    try (Socket socket = new Socket("localhost", fabulum.port())) {
      String said =
          request
              + "\r\nHost: localhost\r\nConnection: close\r\nContent-Length: "
              + body.length()
              + "\r\n"
              + (header.isEmpty() ? "" : header + "\r\n")
              + "\r\n"
              + body;
      socket.getOutputStream().write(said.getBytes(StandardCharsets.ISO_8859_1));
      InputStream answer = socket.getInputStream();
      String first =
          new String(answer.readNBytes("HTTP/1.1 200".length()), StandardCharsets.ISO_8859_1);
      return Integer.parseInt(first.substring(first.length() - 3));
    }
  }

  @Test
  void aLineThatCannotBeIsRefused() {
    for (String region : List.of("x!", "", "USA", "u", "Ü1")) {
      Map<String, Object> line = TwoTeams.line("Nowhere " + region, "+19205550190");
      line.put("region", region);
      isTheCallersFault(maren.post("/api/setup/lines", line), region);
      isTheCallersFault(maren.post("/api/setup/lines/preview", line), region);
    }
    for (Object days : List.of(List.of(FAR), List.of("-999999999-01-01"))) {
      Map<String, Object> line = TwoTeams.line("Far days", "+19205550190");
      line.put("closedDays", days);
      isTheCallersFault(maren.post("/api/setup/lines/preview", line), "closed " + days);
      line.put("closedDays", List.of());
      line.put("openHolidays", days);
      isTheCallersFault(maren.post("/api/setup/lines", line), "open " + days);
    }
    Map<String, Object> strangers = TwoTeams.line("Strangers", "+19205550190");
    strangers.put("tellOfNobodys", List.of(987_654));
    isTheCallersFault(maren.post("/api/setup/lines", strangers), "told");
    Map<String, Object> holidays = TwoTeams.line("Holidays", "+19205550190");
    holidays.put("holidays", Map.of());
    isTheCallersFault(maren.post("/api/setup/lines/preview", holidays), "holidays");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "{\"first\":null,\"last\":\"2026-07-01\"}",
        "{\"first\":\"2026-07-01\"}",
        "{}",
        "null",
        "{\"first\":\"+999999999-12-31\",\"last\":\"+999999999-12-31\"}",
        "{\"first\":\"-999999999-01-01\",\"last\":\"+999999999-12-31\"}"
      })
  void anAbsenceThatCannotBeIsRefused(String absence) {
    String plan = "{\"zone\":\"America/Chicago\",\"week\":[],\"absences\":[" + absence + "]}";
    isTheCallersFault(maren.raw("PUT", "/api/me/plan", "application/json", plan), absence);
  }

  @ParameterizedTest
  @ValueSource(strings = {"{}", "{\"shape\":\"LEAF\"}", "{\"ink\":null}", "null", "7", "[]"})
  void aMarkThatCannotBeIsRefused(String mark) {
    String profile = "{\"name\":\"M\",\"initials\":\"M\",\"mark\":" + mark + "}";
    isTheCallersFault(maren.raw("PUT", "/api/me/profile", "application/json", profile), mark);
  }

  @Test
  void namesStandOnOneLine() {
    String broken = "Bro\nken";
    Map<String, Object> mark = Map.of("shape", "LEAF", "ink", "PINE");
    Map<String, Object> line = TwoTeams.line(broken, "+19205550191");
    Map<String, Answer> answers = new HashMap<>();
    answers.put(
        "profile",
        maren.put("/api/me/profile", Map.of("name", broken, "initials", "B", "mark", mark)));
    answers.put(
        "initials",
        maren.put("/api/me/profile", Map.of("name", "B", "initials", "\u0007", "mark", mark)));
    answers.put("team", maren.post("/api/setup/teams", Map.of("name", broken)));
    answers.put("site", maren.post("/api/setup/sites", Map.of("name", broken)));
    answers.put("line", maren.post("/api/setup/lines", line));
    answers.put(
        "topic",
        maren.post(
            "/api/setup/teams/1/topics",
            Map.of("name", broken, "colour", "PINE", "retired", false)));
    answers.put(
        "sentence",
        maren.post(
            "/api/sentences",
            Map.of("name", broken, "said", "", "group", "DONE", "order", "NEWEST")));
    answers.put(
        "customer",
        maren.post(
            "/api/write-to",
            Map.of("line", 1, "number", "312 555 0198", "makeCustomer", true, "name", broken)));
    answers.put(
        "invitation",
        maren.post(
            "/api/setup/people",
            Map.of("name", broken, "email", "b@x.example", "setup", Map.of("role", "STAFF"))));
    answers.forEach((what, answer) -> {
      assertThat(answer.status()).as(what).isEqualTo(422);
      assertThat(answer.body()).as(what).contains("one line");
    });
  }

  @Test
  void aTimeThatCannotBeIsRefused() {
    String number = fabulum.freshNumber();
    fabulum.webhook().text(number, Fabulum.DOCK, "later").require(200);
    long id = maren.conversationOf(number).path("id").asLong();
    for (String at : List.of("+999999999-12-31T23:59:59Z", "2099-01-01T00:00:00Z")) {
      isTheCallersFault(
          maren.post("/api/conversations/" + id + "/set-aside", Map.of("kind", "AT", "at", at)),
          at);
    }
    fabulum
        .webhook()
        .told(
            "{\"type\":\"text.received\",\"id\":\"far\",\"from\":\""
                + number
                + "\",\"to\":\""
                + Fabulum.DOCK
                + "\",\"body\":\"far\",\"receivedAt\":\"+999999999-12-31T23:59:59Z\"}")
        .require(200);
  }
}
