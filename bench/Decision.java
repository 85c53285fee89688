import fabulum.core.agreement.Agreement;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.sending.Author;
import fabulum.core.sending.SendPolicy;
import fabulum.core.sending.SendQuestion;
import fabulum.core.sending.SendQuestion.Content;
import fabulum.core.sending.SendQuestion.From;
import fabulum.core.sending.SendQuestion.Lately;
import fabulum.core.sending.SendQuestion.NumberState;
import fabulum.core.sending.SendQuestion.To;
import fabulum.core.sending.SendRules;
import fabulum.demo.Volume;
import fabulum.server.FabulumApplication;
import fabulum.server.conversations.ConversationId;
import fabulum.server.messaging.Messaging;
import fabulum.server.sending.Wanted;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * The decision before a text goes, in the core, in the server, and over HTTP as the page asks for it at each stroke, beside a bare read
 * and a bare request of the same run. Rounds are interleaved. Started by bench/decision.
 */
public final class Decision {
  private static final int WARM_UP = 300;
  private static final int ROUNDS = 500;

  private interface Call {
    void run(int round) throws Exception;
  }

  public static void main(String[] arguments) throws Exception {
    int texts = arguments.length == 0 ? 1_000_000 : Integer.parseInt(arguments[0]);
    Path folder = Files.createTempDirectory("fabulum-bench");
    try {
      try (ConfigurableApplicationContext program = start(folder)) {
        Volume.fill(program, Instant.now(), texts, 6_000, 200, 5_000);
      }
      try (ConfigurableApplicationContext program = start(folder)) {
        measure(program);
      }
    } finally {
      try (Stream<Path> files = Files.walk(folder)) {
        files.sorted((a, b) -> b.compareTo(a)).forEach(file -> file.toFile().delete());
      }
    }
  }

  private static ConfigurableApplicationContext start(Path folder) {
    return new SpringApplication(FabulumApplication.class)
        .run("--server.port=0", "--fabulum.data=" + folder, "--logging.level.root=error", "--logging.level.fabulum=error");
  }

  private static void measure(ConfigurableApplicationContext program) throws Exception {
    JdbcTemplate sql = program.getBean(JdbcTemplate.class);
    sql.update("insert into customer (name) select 'Customer ' || x from system_range(1, 50000)");
    Long first = sql.queryForObject("select min(id) from customer where name like 'Customer %'", Long.class);
    sql.update("insert into holding (number_id, customer_id) select id, ? + mod(id, 50000) from number", first);
    say(sql, "customers", "select count(*) from customer");
    say(sql, "texts", "select count(*) from entry where kind in ('IN', 'OUT')");
    sql.update("update line set signature = 'The harbour office'");
    sql.update("update send_settings set service_words = 'Reply STOP to opt out.'");
    sql.update("insert into price (kind, from_day, amount) values ('PART', date '2020-01-01', 0.0079)");
    sql.update("insert into allowance (span, parts) values ('MONTH', 1000000), ('DAY', 100000)");
    Messaging messaging = program.getBean(Messaging.class);
    Long staff = sql.queryForObject("select id from staff where sign_in_name = ?", Long.class, Volume.NAME);
    Author author = new Author.Person(staff == null ? 0 : staff);
    List<Long> open = sql.queryForList("select id from conversation where box = 'OUR_TURN' order by id", Long.class);
    int port = Integer.parseInt(String.valueOf(program.getEnvironment().getProperty("local.server.port")));
    Web web = new Web(port);
    SendQuestion question = question(author);
    Map<String, Call> calls = new LinkedHashMap<>();
    calls.put("core: a decision", round -> SendRules.decide(question, SendPolicy.USUAL));
    calls.put("bare read of a row", round -> sql.queryForList("select * from conversation where id = ?", at(open, round)));
    calls.put(
        "server: a decision",
        round -> messaging.look(new ConversationId(at(open, round)), Wanted.of("At nine, " + round, author, null), List.of(), null));
    calls.put("bare request (the lines)", round -> web.get("/api/lines"));
    calls.put(
        "request of the page at a stroke",
        round -> web.post("/api/conversations/" + at(open, round) + "/texts/check", "{\"words\":\"At nine, " + round + "\"}"));
    Map<String, double[]> times = new LinkedHashMap<>();
    calls.keySet().forEach(name -> times.put(name, new double[ROUNDS]));
    for (int round = -WARM_UP; round < ROUNDS; round++) {
      for (Map.Entry<String, Call> call : calls.entrySet()) {
        long began = System.nanoTime();
        call.getValue().run(round + WARM_UP);
        if (round >= 0) {
          times.get(call.getKey())[round] = (System.nanoTime() - began) / 1e6;
        }
      }
    }
    times.values().forEach(Arrays::sort);
    times.forEach(
        (name, taken) ->
            System.out.printf(
                Locale.ROOT, "  %-34s median %7.3f ms   p95 %7.3f ms%n", name, taken[ROUNDS / 2], taken[ROUNDS * 95 / 100]));
    ratio(times, "server: a decision", "bare read of a row");
    ratio(times, "request of the page at a stroke", "bare request (the lines)");
  }

  private static long at(List<Long> open, int round) {
    return open.get(round * 37 % open.size());
  }

  private static void ratio(Map<String, double[]> times, String one, String other) {
    System.out.printf(Locale.ROOT, "  %-60s %6.2f%n", one + " against " + other, times.get(one)[ROUNDS / 2] / times.get(other)[ROUNDS / 2]);
  }

  private static void say(JdbcTemplate sql, String what, String query) {
    System.out.printf(Locale.ROOT, "%,d %s%n", sql.queryForObject(query, Integer.class), what);
  }

  private static SendQuestion question(Author author) {
    Content content = Content.with("The lift is yours on Friday at 9. See www.example.com", fabulum.core.agreement.TextKind.SERVICE, List.of("The harbour office"), List.of());
    PhoneNumber number = new PhoneNumber("+13125550123");
    return new SendQuestion(
        content,
        author,
        new From(true, true, false, 10, Set.of(), Set.of(), 0),
        new To(
            number,
            Optional.of(new Region("US")),
            NumberState.GOOD,
            Agreement.UNKNOWN,
            true,
            false,
            ZoneId.of("America/Chicago"),
            false),
        Lately.NOTHING,
        Instant.parse("2026-06-09T17:00:00Z"));
  }

  /** Speaks to the program as a page does. */
  private static final class Web {
    private final HttpClient http;
    private final String base;
    private final String token;

    Web(int port) throws Exception {
      CookieManager cookies = new CookieManager();
      this.http = HttpClient.newBuilder().cookieHandler(cookies).build();
      this.base = "http://localhost:" + port;
      http.send(HttpRequest.newBuilder(URI.create(base + "/api/session")).build(), HttpResponse.BodyHandlers.ofString());
      this.token =
          cookies.getCookieStore().getCookies().stream()
              .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
              .findFirst()
              .orElseThrow()
              .getValue();
      post("/api/session", "{\"name\":\"" + Volume.NAME + "\",\"password\":\"" + Volume.PASSWORD + "\"}");
    }

    void get(String path) throws Exception {
      send(HttpRequest.newBuilder(URI.create(base + path)));
    }

    void post(String path, String body) throws Exception {
      send(
          HttpRequest.newBuilder(URI.create(base + path))
              .header("X-XSRF-TOKEN", token)
              .header("Content-Type", "application/json")
              .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    private void send(HttpRequest.Builder request) throws Exception {
      int status = http.send(request.build(), HttpResponse.BodyHandlers.ofString()).statusCode();
      if (status != 200) {
        throw new IllegalStateException("Answered " + status);
      }
    }
  }
}
