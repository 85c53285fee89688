import fabulum.demo.Volume;
import fabulum.server.FabulumApplication;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The customers' place, a page, its story and an import beside the bare SQL on the same data in the same run. Started by
 * bench/customers. Rounds are interleaved, and each begins with a write, so that nothing is answered from the last result.
 */
public final class Customers {
  private static final int WARM_UP = 40;
  private static final int ROUNDS = 120;
  private static final int IMPORTED = 50_000;
  private static final int CHUNK = 5_000;
  private static final String[] FIRST = {"Ada", "Ben", "Cem", "Dora", "Emil", "Fay", "Gus", "Hana", "Ivo", "June", "Kai", "Lena", "Milo", "Nora", "Otto", "Pia"};
  private static final String[] LAST = {"Marsh", "Quist", "Brandt", "Okafor", "Lindqvist", "Petrakis", "Sorensen", "Vale", "Whitlock", "Zheng"};

  private interface Call {
    void run() throws Exception;
  }

  public static void main(String[] arguments) throws Exception {
    int size = arguments.length == 0 ? 100_000 : Integer.parseInt(arguments[0]);
    Path folder = Files.createTempDirectory("fabulum-bench");
    try {
      try (ConfigurableApplicationContext program = start(folder)) {
        Volume.fill(program, Instant.now(), 100_000, 3_000, 200, 500);
        JdbcTemplate sql = program.getBean(JdbcTemplate.class);
        more(sql, program.getBean(TransactionTemplate.class), size);
        restart(sql, "customer");
        restart(sql, "number");
      }
      long began = System.nanoTime();
      try (ConfigurableApplicationContext program = start(folder)) {
        measure(program, size, began);
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

  /** Customers besides those who text, each with a number, three details, and some with mail and a list. */
  private static void more(JdbcTemplate sql, TransactionTemplate transactions, int size) {
    Integer had = sql.queryForObject("select count(*) from customer", Integer.class);
    int count = Math.max(0, size - (had == null ? 0 : had));
    Long first = sql.queryForObject("select coalesce(max(id), 0) + 1 from customer", Long.class);
    Long number = sql.queryForObject("select coalesce(max(id), 0) + 1 from number", Long.class);
    Long kind = sql.queryForObject("select coalesce(max(id), 0) from detail_kind", Long.class);
    long begin = first == null ? 1 : first;
    long numbers = number == null ? 1 : number;
    long kinds = kind == null ? 0 : kind;
    for (String name : List.of("Boat", "Length", "Berth")) {
      kinds++;
      sql.update("insert into detail_kind (id, name, type, place) select ?, ?, 'TEXT', ? where not exists (select 1 from detail_kind where name = ?)", kinds, name, kinds, name);
    }
    List<Long> ids = sql.queryForList("select id from detail_kind where name in ('Boat', 'Length', 'Berth') order by id", Long.class);
    sql.update("insert into customer_list (id, name, made_at) values (900, 'Outer berths', current_timestamp)");
    List<Object[]> customers = new ArrayList<>();
    List<Object[]> held = new ArrayList<>();
    List<Object[]> addresses = new ArrayList<>();
    List<Object[]> details = new ArrayList<>();
    List<Object[]> lists = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      long id = begin + i;
      String name = FIRST[i % FIRST.length] + " " + LAST[i / FIRST.length % LAST.length] + " " + i;
      customers.add(new Object[] {id, name, i % 3 == 0 ? "c" + i + "@post.example" : null, "K-" + id, i % 7 == 0 ? "Regular" : "Visitor"});
      addresses.add(new Object[] {numbers + i, "+1989" + String.format(Locale.ROOT, "%07d", 2_000_000 + i)});
      held.add(new Object[] {numbers + i, id});
      for (int d = 0; d < ids.size(); d++) {
        details.add(new Object[] {id, ids.get(d), "word" + (i * 31 + d * 7) % 5_000});
      }
      if (i % 100 == 0) {
        lists.add(new Object[] {id, 900L});
      }
    }
    inChunks(sql, transactions, "insert into customer (id, name, email, outside_id, kind) values (?, ?, ?, ?, ?)", customers);
    inChunks(sql, transactions, "insert into number (id, address) values (?, ?)", addresses);
    inChunks(sql, transactions, "insert into holding (number_id, customer_id) values (?, ?)", held);
    inChunks(sql, transactions, "insert into detail (customer_id, kind_id, words) values (?, ?, ?)", details);
    inChunks(sql, transactions, "insert into on_list (customer_id, list_id) values (?, ?)", lists);
  }

  private static void inChunks(JdbcTemplate sql, TransactionTemplate transactions, String insert, List<Object[]> rows) {
    for (int i = 0; i < rows.size(); i += CHUNK) {
      List<Object[]> some = rows.subList(i, Math.min(rows.size(), i + CHUNK));
      transactions.executeWithoutResult(status -> sql.batchUpdate(insert, some));
    }
  }

  private static void restart(JdbcTemplate sql, String table) {
    Long last = sql.queryForObject("select max(id) from " + table, Long.class);
    sql.execute("alter table " + table + " alter column id restart with " + ((last == null ? 0 : last) + 1));
  }

  private static void measure(ConfigurableApplicationContext program, int size, long began) throws Exception {
    JdbcTemplate sql = program.getBean(JdbcTemplate.class);
    int port = Integer.parseInt(String.valueOf(program.getEnvironment().getProperty("local.server.port")));
    Web web = new Web(port);
    web.get("/api/customers");
    System.out.printf(Locale.ROOT, "%,d customers; from the start until the first rows %.1f s%n", size, (System.nanoTime() - began) / 1e9);
    Map<String, Call> calls = new LinkedHashMap<>();
    calls.put("bare SQL: 50 by name, any part of it", () -> sql.queryForList("select id, name from customer where lower(name) like '%okafor%' order by name, id fetch first 50 rows only"));
    calls.put("bare request (the lines)", () -> web.get("/api/lines"));
    calls.put("first rows", () -> web.get("/api/customers"));
    for (String typed : List.of("o", "ok", "oka", "okafor", "okafor 99", "555", "word123", "c4200@post")) {
      calls.put("typed: " + typed, () -> web.find("called " + typed));
    }
    calls.put("on a list", () -> web.find("list 900"));
    calls.put("of a kind, with a detail", () -> web.find("kind Regular; detail 1 word12"));
    calls.put("heard from in 30 days", () -> web.find("last 30"));
    calls.put("not heard from for a year", () -> web.find("silent 365"));
    calls.put("a customer's page", () -> web.get("/api/customers/1"));
    calls.put("their story", () -> web.get("/api/customers/1/story"));
    calls.put("who may be on file twice", () -> web.get("/api/customers/1/twins"));
    Map<String, double[]> times = new LinkedHashMap<>();
    calls.keySet().forEach(name -> times.put(name, new double[ROUNDS]));
    for (int round = -WARM_UP; round < ROUNDS; round++) {
      sql.update("update conversation set version = version + 1 where id = ?", 10 + Math.abs(round));
      for (Map.Entry<String, Call> call : calls.entrySet()) {
        long start = System.nanoTime();
        call.getValue().run();
        if (round >= 0) {
          times.get(call.getKey())[round] = (System.nanoTime() - start) / 1e6;
        }
      }
    }
    times.values().forEach(Arrays::sort);
    double store = at(times.get("bare SQL: 50 by name, any part of it"), 0.5);
    times.forEach((name, taken) ->
        System.out.printf(Locale.ROOT, "  %-38s median %6.2f ms   p95 %6.2f ms   %5.2f x bare SQL%n", name, at(taken, 0.5), at(taken, 0.95), at(taken, 0.5) / store));
    imported(web);
  }

  /** An import, and how quick the inbox is meanwhile. */
  private static void imported(Web web) throws Exception {
    double quiet = inbox(web, 60);
    StringBuilder file = new StringBuilder("Name,Phone,E-mail,Boat,Berth\n");
    for (int i = 0; i < IMPORTED; i++) {
      file.append("Imported ").append(LAST[i % LAST.length]).append(' ').append(i).append(",+1906").append(String.format(Locale.ROOT, "%07d", 2_000_000 + i)).append(",i").append(i).append("@post.example,Boat ").append(i).append(",Z").append(i % 50).append('\n');
    }
    long began = System.nanoTime();
    String preview = web.upload(file.toString());
    double looked = (System.nanoTime() - began) / 1e9;
    String id = preview.replaceAll("(?s).*?\"id\":(\\d+).*", "$1");
    began = System.nanoTime();
    web.post("/api/imports/" + id + "/run", "{\"onlyGood\":true}");
    List<Double> during = new ArrayList<>();
    while (web.text("/api/imports/" + id).contains("\"RUNNING\"")) {
      during.add(inbox(web, 5));
      // An office that asks twenty times a second, not as fast as it can.
      Thread.sleep(250);
    }
    double taken = (System.nanoTime() - began) / 1e9;
    double[] sorted = during.stream().mapToDouble(one -> one).sorted().toArray();
    System.out.printf(Locale.ROOT, "  import of %,d rows: looked at in %.1f s, taken in %.1f s (%.1f s of a processor)%n", IMPORTED, looked, taken, worked());
    System.out.printf(Locale.ROOT, "  list of 50 of our turn: %.2f ms before, median %.2f ms meanwhile, %.1f x%n", quiet, at(sorted, 0.5), at(sorted, 0.5) / quiet);
    began = System.nanoTime();
    web.post("/api/imports/" + id + "/undo", "{}");
    while (web.text("/api/imports/" + id).contains("\"UNDOING\"")) {
      inbox(web, 5);
      Thread.sleep(250);
    }
    System.out.printf(Locale.ROOT, "  taken back in %.1f s%n", (System.nanoTime() - began) / 1e9);
  }

  /** Seconds of a processor that the import itself took. */
  private static double worked() {
    ThreadMXBean threads = ManagementFactory.getThreadMXBean();
    return Arrays.stream(threads.getThreadInfo(threads.getAllThreadIds()))
        .filter(one -> one != null && one.getThreadName().equals("imports"))
        .mapToLong(one -> threads.getThreadCpuTime(one.getThreadId()))
        .sum() / 1e9;
  }

  private static double inbox(Web web, int rounds) throws Exception {
    double[] times = new double[rounds];
    for (int i = 0; i < rounds; i++) {
      long start = System.nanoTime();
      web.get("/api/conversations?group=OUR_TURN");
      times[i] = (System.nanoTime() - start) / 1e6;
    }
    Arrays.sort(times);
    return at(times, 0.5);
  }

  private static double at(double[] sorted, double share) {
    return sorted.length == 0 ? Double.NaN : sorted[Math.min(sorted.length - 1, (int) (sorted.length * share))];
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
      send(HttpRequest.newBuilder(URI.create(base + "/api/session")));
      this.token =
          cookies.getCookieStore().getCookies().stream()
              .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
              .findFirst()
              .orElseThrow()
              .getValue();
      post("/api/session", "{\"name\":\"" + Volume.NAME + "\",\"password\":\"" + Volume.PASSWORD + "\"}");
    }

    void find(String sentence) throws Exception {
      get("/api/customers?sentence=" + URLEncoder.encode(sentence, StandardCharsets.UTF_8));
    }

    void get(String path) throws Exception {
      text(path);
    }

    String text(String path) throws Exception {
      return answered(send(HttpRequest.newBuilder(URI.create(base + path))), path);
    }

    void post(String path, String body) throws Exception {
      answered(send(change(path, "application/json").POST(HttpRequest.BodyPublishers.ofString(body))), path);
    }

    String upload(String words) throws Exception {
      String body = "--edge\r\nContent-Disposition: form-data; name=\"file\"; filename=\"a.csv\"\r\n\r\n" + words + "\r\n--edge--\r\n";
      return answered(send(change("/api/imports", "multipart/form-data; boundary=edge").POST(HttpRequest.BodyPublishers.ofString(body))), "/api/imports");
    }

    private HttpRequest.Builder change(String path, String type) {
      return HttpRequest.newBuilder(URI.create(base + path)).header("X-XSRF-TOKEN", token).header("Content-Type", type);
    }

    private static String answered(HttpResponse<String> answer, String path) {
      if (answer.statusCode() >= 300) {
        throw new IllegalStateException(path + " was answered " + answer.statusCode() + " " + answer.body());
      }
      return answer.body();
    }

    private HttpResponse<String> send(HttpRequest.Builder request) throws Exception {
      return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }
  }
}
