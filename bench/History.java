import fabulum.demo.Volume;
import fabulum.demo.VolumeClient;
import fabulum.server.FabulumApplication;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Words over all that was said, over HTTP with their rows, beside LIKE on the same data in the same run, at several sizes; and how long the
 * index takes to be made anew while the inbox is asked for. Started by bench/history.
 */
public final class History {
  private static final int OPEN = 6_000;
  private static final int ROUNDS = 60;
  private static final int LIKE_ROUNDS = 5;
  private static final String RARE = "zyzzyva";

  private interface Call {
    void run() throws Exception;
  }

  public static void main(String[] arguments) throws Exception {
    int[] sizes =
        arguments.length == 0
            ? new int[] {1_000_000, 3_000_000}
            : Arrays.stream(arguments).mapToInt(Integer::parseInt).toArray();
    Map<Integer, Double> rare = new LinkedHashMap<>();
    for (int size : sizes) {
      rare.put(size, measure(size));
    }
    if (sizes.length > 1) {
      double ratio = rare.get(sizes[sizes.length - 1]) / rare.get(sizes[0]);
      System.out.printf(Locale.ROOT, "%n  a rare word, %,d texts against %,d: %.2f%n", sizes[sizes.length - 1], sizes[0], ratio);
    }
  }

  private static double measure(int texts) throws Exception {
    Path folder = Files.createTempDirectory("fabulum-bench");
    try {
      try (ConfigurableApplicationContext program = start(folder)) {
        Volume.fill(program, java.time.Instant.now(), texts, OPEN, 200, 5_000);
        JdbcTemplate sql = program.getBean(JdbcTemplate.class);
        for (int i = 1; i <= 20; i++) {
          sql.update("update entry set words = 'the " + RARE + " came again' where id = ?", (long) texts * i / 21);
        }
      }
      try (Stream<Path> files = Files.walk(folder.resolve("history"))) {
        files.sorted((a, b) -> b.compareTo(a)).forEach(file -> file.toFile().delete());
      }
      System.out.printf("%n%,d texts%n", texts);
      try (ConfigurableApplicationContext program = start(folder)) {
        return measure(program, texts, folder.resolve("history"));
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

  private static double measure(ConfigurableApplicationContext program, int texts, Path index) throws Exception {
    long began = System.nanoTime();
    JdbcTemplate sql = program.getBean(JdbcTemplate.class);
    VolumeClient web = new VolumeClient(Integer.parseInt(String.valueOf(program.getEnvironment().getProperty("local.server.port"))), Volume.NAME);
    double[] meanwhile = new double[100_000];
    int asked = 0;
    while (!web.get("/api/history?limit=1").contains("\"percent\":100")) {
      meanwhile[asked++] = timed(() -> web.get("/api/conversations?group=OUR_TURN"));
      Thread.sleep(200);
    }
    double seconds = (System.nanoTime() - began) / 1e9;
    System.out.printf(Locale.ROOT, "  index made anew: %.1f s, %.1f s a million%n", seconds, seconds * 1e6 / texts);
    double[] while_ = Arrays.copyOf(meanwhile, asked);
    double[] after = times(60, () -> web.get("/api/conversations?group=OUR_TURN"));
    Arrays.sort(while_);
    System.out.printf(
        Locale.ROOT, "  list of 50 meanwhile: median %.1f ms, afterwards %.1f ms: %.1f x%n", at(while_, 0.5), at(after, 0.5), at(while_, 0.5) / at(after, 0.5));
    try (Stream<Path> files = Files.walk(index)) {
      System.out.printf(Locale.ROOT, "  its folder: %.0f MB%n", files.mapToLong(file -> file.toFile().length()).sum() / 1e6);
    }
    String like = "select id from entry where lower(words) like '%" + RARE + "%' order by at desc, id desc fetch first 50 rows only";
    double store = at(times(LIKE_ROUNDS, () -> sql.queryForList(like)), 0.5);
    System.out.printf(Locale.ROOT, "  LIKE on a rare word: median %.1f ms%n", store);
    String deep =
        sql.queryForObject(
            "select at, id from entry order by at desc, id desc offset ? rows fetch first 1 row only",
            (row, i) -> row.getObject(1, OffsetDateTime.class).toInstant() + "~" + row.getLong(2),
            texts / 2);
    Map<String, String> calls = new LinkedHashMap<>();
    calls.put("a rare word, with its 20 rows", "ever; mention " + RARE);
    calls.put("a word of many texts, 50 rows", "ever; mention the");
    calls.put("two words", "ever; mention the boat");
    calls.put("the beginning of a word", "ever; mention bo*");
    calls.put("everything, first page", "everything; ever");
    // A program that serves all day is warm, and has done what it does after a start.
    for (int i = 0; i < 3; i++) {
      calls.values().forEach(sentence -> times(ROUNDS, () -> web.get(path(sentence))));
    }
    Map<String, double[]> found = new LinkedHashMap<>();
    calls.forEach((name, sentence) -> found.put(name, times(ROUNDS, () -> web.get(path(sentence)))));
    found.put("everything, a page in the middle", times(ROUNDS, () -> web.get(path("everything; ever") + "&from=" + deep)));
    double bare = at(times(ROUNDS, () -> web.get("/api/lines")), 0.5);
    found.forEach(
        (name, taken) ->
            System.out.printf(
                Locale.ROOT,
                "  %-34s median %6.2f ms   p95 %6.2f ms   1/%.0f of LIKE   %.1f x a bare request%n",
                name,
                at(taken, 0.5),
                at(taken, 0.95),
                store / at(taken, 0.5),
                at(taken, 0.5) / bare));
    System.out.printf(
        Locale.ROOT,
        "  a page in the middle against the first: %.2f%n",
        at(found.get("everything, a page in the middle"), 0.5) / at(found.get("everything, first page"), 0.5));
    return at(found.get("a rare word, with its 20 rows"), 0.5);
  }

  private static String path(String sentence) {
    return "/api/history?sentence=" + URLEncoder.encode(sentence, StandardCharsets.UTF_8);
  }

  private static double timed(Call call) {
    long began = System.nanoTime();
    try {
      call.run();
    } catch (Exception e) {
      throw new IllegalStateException(e);
    }
    return (System.nanoTime() - began) / 1e6;
  }

  private static double[] times(int rounds, Call call) {
    for (int i = 0; i < rounds / 2; i++) {
      timed(call);
    }
    double[] taken = new double[rounds];
    for (int i = 0; i < rounds; i++) {
      taken[i] = timed(call);
    }
    Arrays.sort(taken);
    return taken;
  }

  private static double at(double[] sorted, double share) {
    return sorted.length == 0 ? 0 : sorted[Math.min(sorted.length - 1, (int) (sorted.length * share))];
  }
}
