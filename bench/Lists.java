import fabulum.core.conversation.Group;
import fabulum.core.sentence.SentenceText;
import fabulum.demo.Volume;
import fabulum.demo.VolumeClient;
import fabulum.server.FabulumApplication;
import fabulum.server.access.StaffId;
import fabulum.server.inbox.Inbox;
import fabulum.server.inbox.InboxPage;
import fabulum.server.inbox.InboxQuery;
import fabulum.server.inbox.ListOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * Lists, counts and scripts over HTTP beside the bare SQL on the same data in the same run, at several sizes. Started by bench/lists.
 * Rounds are interleaved, and each begins with a write, so that nothing is answered from the last result.
 */
public final class Lists {
  private static final int WARM_UP = 1_000;
  private static final int ROUNDS = 300;
  private static final int SHORT_SCRIPT = 200;
  private static final int LONG_SCRIPT = 5_000;
  private static final int CLIENTS = 32;
  private static final int TURNS = 5;
  private static final Duration TURN = Duration.ofSeconds(4);

  private static final String LINE =
      "(select c.id, c.sort_at from conversation c where c.line_id = %d and c.box = 'OUR_TURN'"
          + " order by c.line_id, c.box, c.sort_at, c.id fetch first 51 rows only)";
  private static final String LIST =
      "select id, sort_at from ("
          + IntStream.rangeClosed(1, Volume.LINES).mapToObj(line -> String.format(Locale.ROOT, LINE, line)).collect(Collectors.joining(" union all "))
          + ") order by sort_at, id fetch first 51 rows only";
  private static final String ROWS =
      "select c.*, n.address, k.name as customer from conversation c join number n on n.id = c.number_id"
          + " left join customer k on k.id = c.customer_id where c.id in (%s)";

  private record Size(int texts, int open) {
    String words() {
      return String.format(Locale.ROOT, "%,d texts, %,d open", texts, open);
    }
  }

  private interface Call {
    void run() throws Exception;
  }

  public static void main(String[] arguments) throws Exception {
    List<Size> sizes = sizes(arguments);
    Map<Size, Map<String, double[]>> all = new LinkedHashMap<>();
    for (Size size : sizes) {
      all.put(size, measure(size));
    }
    compare(all);
  }

  private static List<Size> sizes(String... arguments) {
    if (arguments.length > 0 && arguments[0].equals("--short")) {
      return List.of(new Size(100_000, 6_000), new Size(300_000, 6_000));
    }
    if (arguments.length > 0) {
      return Arrays.stream(arguments).map(size -> new Size(Integer.parseInt(size), 6_000)).toList();
    }
    return List.of(
        new Size(100_000, 6_000),
        new Size(1_000_000, 6_000),
        new Size(1_000_000, 90_000),
        new Size(3_000_000, 6_000));
  }

  private static Map<String, double[]> measure(Size size) throws Exception {
    Path folder = Files.createTempDirectory("fabulum-bench");
    try {
      Instant began = Instant.now();
      try (ConfigurableApplicationContext program = start(folder)) {
        Volume.fill(program, Instant.now(), size.texts(), size.open(), SHORT_SCRIPT, LONG_SCRIPT);
      }
      System.out.printf("%n%s (made in %d s)%n", size.words(), Duration.between(began, Instant.now()).toSeconds());
      try (ConfigurableApplicationContext program = start(folder)) {
        return measure(program);
      }
    } finally {
      try (Stream<Path> files = Files.walk(folder)) {
        files.sorted((a, b) -> b.compareTo(a)).forEach(file -> file.toFile().delete());
      }
    }
  }

  private static ConfigurableApplicationContext start(Path folder) {
    return new SpringApplication(FabulumApplication.class, Fixed.class)
        .run("--server.port=0", "--fabulum.data=" + folder, "--logging.level.root=error", "--logging.level.fabulum=error");
  }

  private static Map<String, double[]> measure(ConfigurableApplicationContext program) throws Exception {
    JdbcTemplate sql = program.getBean(JdbcTemplate.class);
    int port = Integer.parseInt(String.valueOf(program.getEnvironment().getProperty("local.server.port")));
    awaitQuiet(sql);
    VolumeClient web = new VolumeClient(port, Volume.NAME);
    VolumeClient quiet = new VolumeClient(port, Volume.QUIET);
    String middle = place(sql, "OUR_TURN", "sort_at", true);
    String deepDone = place(sql, "DONE", "sort_at", false);
    Map<String, Call> calls = new LinkedHashMap<>();
    calls.put("bare SQL: 50 of our turn", () -> bare(sql));
    calls.put("bare request (the lines)", () -> web.get("/api/lines"));
    calls.put("list of 50, our turn", () -> web.get("/api/conversations?group=OUR_TURN"));
    calls.put("list of 50, our turn, newest", () -> web.get("/api/conversations?group=OUR_TURN&order=NEWEST"));
    calls.put("list of 50, our turn, deep", () -> web.get("/api/conversations?group=OUR_TURN&from=" + middle));
    calls.put("list of 50, nobody's on line 2", () -> web.get("/api/conversations?group=OUR_TURN&sentence=nobody's;line%202"));
    calls.put("list of 50, done", () -> web.get("/api/conversations?group=DONE"));
    calls.put("list of 50, done, deep", () -> web.get("/api/conversations?group=DONE&from=" + deepDone));
    calls.put("our turn, who sees a quiet line", () -> quiet.get("/api/conversations?group=OUR_TURN"));
    calls.put("done, who sees a quiet line", () -> quiet.get("/api/conversations?group=DONE"));
    calls.put("counts of all groups", () -> web.get("/api/conversations/counts"));
    calls.put("counts, nobody's on line 2", () -> web.get("/api/conversations/counts?sentence=nobody's;line%202"));
    calls.put("script of 200, its dossier", () -> opened(web, 1));
    calls.put("script of 5,000, its dossier", () -> opened(web, 2));
    Map<String, double[]> times = new LinkedHashMap<>();
    calls.keySet().forEach(name -> times.put(name, new double[ROUNDS]));
    for (int round = -WARM_UP; round < ROUNDS; round++) {
      sql.update("update conversation set version = version + 1 where id = ?", 10 + Math.abs(round));
      for (Map.Entry<String, Call> call : calls.entrySet()) {
        long began = System.nanoTime();
        call.getValue().run();
        if (round >= 0) {
          times.get(call.getKey())[round] = (System.nanoTime() - began) / 1e6;
        }
      }
    }
    times.values().forEach(Arrays::sort);
    double store = at(times.get("bare SQL: 50 of our turn"), 0.5);
    times.forEach(
        (name, taken) ->
            System.out.printf(
                Locale.ROOT,
                "  %-34s median %6.2f ms   p95 %6.2f ms   %5.1f x bare SQL%n",
                name,
                at(taken, 0.5),
                at(taken, 0.95),
                at(taken, 0.5) / store));
    many(program, port);
    return times;
  }

  /** After the start the program makes alerts for thousands of late conversations; lists are measured when that is over. */
  private static void awaitQuiet(JdbcTemplate sql) throws InterruptedException {
    long before = -1;
    for (long alerts = 0; alerts != before; alerts = sql.queryForObject("select count(*) from escalation_step_taken", Long.class)) {
      before = alerts;
      Thread.sleep(Duration.ofSeconds(5));
    }
  }

  private static void bare(JdbcTemplate sql) {
    List<Long> ids = sql.query(LIST, (row, i) -> row.getLong(1));
    String places = String.join(",", ids.stream().map(id -> "?").toList());
    sql.queryForList(String.format(Locale.ROOT, ROWS, places), ids.toArray());
  }

  /** How many lists a second many clients get at once, beside the same rows as JSON without a database behind them. */
  private static void many(ConfigurableApplicationContext program, int port) throws Exception {
    StaffId me = new StaffId(program.getBean(JdbcTemplate.class).queryForObject("select id from staff where sign_in_name = ?", Long.class, Volume.NAME));
    program.getBean(Fixed.class).page =
        program.getBean(Inbox.class).page(new InboxQuery(Group.OUR_TURN, ListOrder.TIME_LEFT, SentenceText.read(""), me), null, 50);
    List<VolumeClient> clients = new ArrayList<>();
    for (int i = 0; i < CLIENTS; i++) {
      clients.add(new VolumeClient(port, Volume.NAME));
    }
    double[] fixed = new double[TURNS];
    double[] list = new double[TURNS];
    for (int turn = -1; turn < TURNS; turn++) {
      double ofFixed = aSecond(clients, "/api/fixed");
      double ofList = aSecond(clients, "/api/conversations?group=OUR_TURN");
      if (turn >= 0) {
        fixed[turn] = ofFixed;
        list[turn] = ofList;
      }
    }
    Arrays.sort(fixed);
    Arrays.sort(list);
    System.out.printf(
        Locale.ROOT,
        "  %d clients at once: %.0f lists a second, %.0f fixed answers of the same rows: %.2f of them%n",
        CLIENTS,
        at(list, 0.5),
        at(fixed, 0.5),
        at(list, 0.5) / at(fixed, 0.5));
  }

  private static double aSecond(List<VolumeClient> clients, String path) throws Exception {
    ExecutorService all = Executors.newFixedThreadPool(clients.size());
    long until = System.nanoTime() + TURN.toNanos();
    List<Future<Integer>> done = new ArrayList<>();
    for (VolumeClient client : clients) {
      done.add(
          all.submit(
              () -> {
                int answers = 0;
                while (System.nanoTime() < until) {
                  client.get(path);
                  answers++;
                }
                return answers;
              }));
    }
    int sum = 0;
    for (Future<Integer> one : done) {
      sum += one.get();
    }
    all.shutdown();
    return sum / (double) TURN.toSeconds();
  }

  /** The same answer again and again, through the same front door. */
  @RestController
  static class Fixed {
    volatile InboxPage page;

    @GetMapping("/api/fixed")
    InboxPage page() {
      return page;
    }
  }

  private static void opened(VolumeClient web, long id) throws Exception {
    web.get("/api/conversations/" + id);
    web.get("/api/conversations/" + id + "/script");
  }

  /** The place in the middle of a group, as the list hands it from page to page. */
  private static String place(JdbcTemplate sql, String box, String column, boolean up) {
    Integer count = sql.queryForObject("select count(*) from conversation where box = ?", Integer.class, box);
    String order = up ? "" : " desc";
    return sql.queryForObject(
        "select " + column + ", id from conversation where box = ? order by " + column + order + ", id" + order + " offset ? rows fetch first 1 row only",
        (row, i) -> row.getObject(1, OffsetDateTime.class).toInstant() + "~" + row.getLong(2),
        box,
        (count == null ? 0 : count) / 2);
  }

  private static double at(double[] sorted, double share) {
    return sorted[Math.min(sorted.length - 1, (int) (sorted.length * share))];
  }

  private static void compare(Map<Size, Map<String, double[]>> all) {
    List<Size> sizes = new ArrayList<>(all.keySet());
    Size first = sizes.get(0);
    Size last = sizes.get(sizes.size() - 1);
    System.out.printf("%nRatios of medians in this run%n");
    ratio(last.words() + " against " + first.words() + ", list", all.get(last), all.get(first), "list of 50, our turn");
    if (sizes.size() > 2) {
      ratio("90,000 open against 6,000, list", all.get(sizes.get(2)), all.get(sizes.get(1)), "list of 50, our turn");
      ratio("90,000 open against 6,000, counts", all.get(sizes.get(2)), all.get(sizes.get(1)), "counts of all groups");
    }
    all.forEach(
        (size, times) -> {
          System.out.println("  " + size.words());
          within(times, "list of 50, our turn, deep", "list of 50, our turn");
          within(times, "list of 50, done, deep", "list of 50, done");
          within(times, "counts of all groups", "list of 50, our turn");
          within(times, "done, who sees a quiet line", "list of 50, done");
          within(times, "script of 5,000, its dossier", "script of 200, its dossier");
        });
  }

  private static void ratio(String name, Map<String, double[]> one, Map<String, double[]> other, String what) {
    System.out.printf(Locale.ROOT, "  %-70s %5.2f%n", name, at(one.get(what), 0.5) / at(other.get(what), 0.5));
  }

  private static void within(Map<String, double[]> times, String one, String other) {
    System.out.printf(Locale.ROOT, "    %-68s %5.2f%n", one + " against " + other, at(times.get(one), 0.5) / at(times.get(other), 0.5));
  }
}
