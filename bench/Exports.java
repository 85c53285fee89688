import fabulum.demo.Volume;
import fabulum.server.FabulumApplication;
import fabulum.server.access.StaffId;
import fabulum.server.exports.ExportFormat;
import fabulum.server.exports.ExportState;
import fabulum.server.exports.ExportView;
import fabulum.server.history.History;
import java.io.BufferedWriter;
import java.lang.management.ManagementFactory;
import java.lang.management.MemoryPoolMXBean;
import java.lang.management.MemoryType;
import java.lang.management.MemoryUsage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Everything that was said, taken out in each format, beside the bare store: the same rows read by SQL and their words written to a file.
 * What lives on the heap is that after a collection. Started by bench/exports.
 */
public final class Exports {
  private static final int OPEN = 1_000;

  public static void main(String[] arguments) throws Exception {
    int entries = arguments.length == 0 ? 100_000 : Integer.parseInt(arguments[0]);
    Path folder = Files.createTempDirectory("fabulum-bench");
    try {
      for (int size : new int[] {entries / 10, entries}) {
        Path data = folder.resolve(String.valueOf(size));
        try (ConfigurableApplicationContext program = start(data)) {
          Volume.fill(program, java.time.Instant.now(), size, OPEN);
        }
        // What was filled in beside the program is not in its index.
        remove(data.resolve("history"));
        try (ConfigurableApplicationContext program = start(data)) {
          measure(program, data);
        }
      }
    } finally {
      remove(folder);
    }
  }

  private static void remove(Path folder) throws Exception {
    try (Stream<Path> files = Files.walk(folder)) {
      files.sorted((a, b) -> b.compareTo(a)).forEach(file -> file.toFile().delete());
    }
  }

  private static ConfigurableApplicationContext start(Path folder) {
    return new SpringApplication(FabulumApplication.class)
        .run("--server.port=0", "--fabulum.data=" + folder, "--logging.level.root=error", "--logging.level.fabulum=error");
  }

  private static void measure(ConfigurableApplicationContext program, Path folder) throws Exception {
    JdbcTemplate sql = program.getBean(JdbcTemplate.class);
    var exports = program.getBean(fabulum.server.exports.Exports.class);
    History history = program.getBean(History.class);
    StaffId me = new StaffId(sql.queryForObject("select id from staff where sign_in_name = ?", Long.class, Volume.NAME));
    while (!history.isComplete()) {
      Thread.sleep(200);
    }
    long began = System.nanoTime();
    try (BufferedWriter file = Files.newBufferedWriter(folder.resolve("words"))) {
      sql.query("select at, kind, words from entry order by at, id", row -> {
        try {
          file.write(row.getString(1) + "," + row.getString(2) + "," + row.getString(3) + "\n");
        } catch (java.io.IOException e) {
          throw new IllegalStateException(e);
        }
      });
    }
    double bare = (System.nanoTime() - began) / 1e9;
    System.out.printf(Locale.ROOT, "%n%,d entries; read by SQL and written: %.2f s%n", sql.queryForObject("select count(*) from entry", Long.class), bare);
    for (ExportFormat format : ExportFormat.values()) {
      System.gc();
      long before = living();
      began = System.nanoTime();
      long id = exports.begin("everything; ever", "Everything", format, false, me);
      long most = before;
      ExportView view = of(exports, id, me);
      while (view.state() != ExportState.READY && view.state() != ExportState.FAILED) {
        Thread.sleep(50);
        most = Math.max(most, living());
        view = of(exports, id, me);
      }
      double taken = (System.nanoTime() - began) / 1e9;
      System.out.printf(
          Locale.ROOT,
          "  %-4s %s, %,d lines in %.1f s, %.1f x the bare store; living on the heap before %.0f MB, at most %.0f MB%n",
          format,
          view.state(),
          view.done(),
          taken,
          taken / bare,
          before / 1e6,
          most / 1e6);
    }
  }

  private static ExportView of(fabulum.server.exports.Exports exports, long id, StaffId me) {
    return exports.list(me).stream().filter(one -> one.id() == id).findFirst().orElseThrow();
  }

  private static long living() {
    return ManagementFactory.getMemoryPoolMXBeans().stream()
        .filter(pool -> pool.getType() == MemoryType.HEAP)
        .map(MemoryPoolMXBean::getCollectionUsage)
        .filter(java.util.Objects::nonNull)
        .mapToLong(MemoryUsage::getUsed)
        .sum();
  }
}
