import fabulum.demo.Volume;
import fabulum.demo.VolumeClient;
import fabulum.server.FabulumApplication;
import fabulum.server.access.StaffId;
import fabulum.server.figures.Reports;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/** Reports of a year over HTTP beside SQL over the entries in the same run; and how long all days take to be summed. Started by bench/figures. */
public final class Figures {
  private static final int OPEN = 2_000;
  private static final int ROUNDS = 40;
  private static final int SQL_ROUNDS = 5;

  public static void main(String[] arguments) throws Exception {
    int texts = arguments.length == 0 ? 1_000_000 : Integer.parseInt(arguments[0]);
    Path folder = Files.createTempDirectory("fabulum-bench");
    try {
      try (ConfigurableApplicationContext program = start(folder)) {
        Volume.fill(program, java.time.Instant.now(), texts, OPEN);
        JdbcTemplate sql = program.getBean(JdbcTemplate.class);
        // Every answer to a wait of up to two hours, promised within one.
        sql.update(
            "update entry set working_seconds = mod(id * 7919, 7200), promise_seconds = 3600, first_answer = mod(id, 3) = 0,"
                + " answered_since = dateadd(second, -mod(id * 7919, 7200), at) where kind = 'OUT'");
        sql.update("update figures_made set feed = null");
      }
      System.out.printf("%n%,d texts%n", texts);
      try (ConfigurableApplicationContext program = start(folder)) {
        measure(program, texts);
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

  private static void measure(ConfigurableApplicationContext program, int texts) throws Exception {
    int port = Integer.parseInt(String.valueOf(program.getEnvironment().getProperty("local.server.port")));
    VolumeClient web = new VolumeClient(port, Volume.NAME);
    JdbcTemplate sql = program.getBean(JdbcTemplate.class);
    while (!web.get("/api/reports?sentence=by+month").contains("\"percent\":100")) {
      Thread.sleep(200);
    }
    program.getBean(Reports.class).sumAgain(new StaffId(1));
    long began = System.nanoTime();
    while (!web.get("/api/reports?sentence=by+month").contains("\"percent\":100")) {
      Thread.sleep(200);
    }
    double seconds = (System.nanoTime() - began) / 1e9;
    System.out.printf(Locale.ROOT, "  all days summed: %.1f s, %.1f s a million texts%n", seconds, seconds * 1e6 / texts);
    OffsetDateTime from = OffsetDateTime.now().minusDays(365);
    String raw =
        "select extract(year from at), extract(week from at), count(*), percentile_disc(0.5) within group (order by working_seconds),"
            + " percentile_disc(0.9) within group (order by working_seconds) from entry"
            + " where kind = 'OUT' and working_seconds is not null and at >= ? group by extract(year from at), extract(week from at)";
    double store = median(SQL_ROUNDS, () -> sql.queryForList(raw, from));
    System.out.printf(Locale.ROOT, "  answer times of a year by week, SQL over the entries: median %.1f ms%n", store);
    Map<String, String> sentences = new LinkedHashMap<>();
    sentences.put("answer times of a year by week", "last 365; by week");
    sentences.put("answer times of a year by person", "last 365; by person");
    sentences.put("texts of a year by month", "texts; last 365; by month");
    sentences.put("costs of a year by line", "costs; last 365; by line");
    sentences.put("answer times of four weeks by day", "");
    for (Map.Entry<String, String> each : sentences.entrySet()) {
      String path = "/api/reports?sentence=" + URLEncoder.encode(each.getValue(), StandardCharsets.UTF_8);
      told(each.getKey(), median(ROUNDS, () -> web.get(path)), store);
    }
    told("waits of a year", median(ROUNDS, () -> web.get("/api/reports/week?sentence=waits%3B+last+365")), store);
    Map<String, String> behind = new LinkedHashMap<>();
    behind.put("late by most of a year", "late=true&sentence=last+365");
    behind.put("late by most of a year, one person's", "late=true&sentence=last+365%3B+person+2");
    behind.put("late by most of a day", "late=true&key=" + OffsetDateTime.now().minusDays(40).toLocalDate() + "&sentence=last+365%3B+by+day");
    behind.put("all answers of a year", "sentence=last+365");
    for (Map.Entry<String, String> each : behind.entrySet()) {
      told(each.getKey(), median(ROUNDS, () -> web.get("/api/reports/behind?" + each.getValue())), store);
    }
  }

  private static void told(String what, double taken, double store) {
    System.out.printf(Locale.ROOT, "  %-36s median %7.2f ms   1/%.1f of that SQL%n", what, taken, store / taken);
  }

  private static double median(int rounds, Callable<?> call) throws Exception {
    for (int i = 0; i < rounds / 2; i++) {
      call.call();
    }
    double[] taken = new double[rounds];
    for (int i = 0; i < rounds; i++) {
      long began = System.nanoTime();
      call.call();
      taken[i] = (System.nanoTime() - began) / 1e6;
    }
    Arrays.sort(taken);
    return taken[rounds / 2];
  }
}
