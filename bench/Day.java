import com.sun.net.httpserver.HttpServer;
import fabulum.core.delivery.ClientReference;
import fabulum.core.access.Role;
import fabulum.core.arrival.Arrival;
import fabulum.core.conversation.Participants;
import fabulum.core.hours.Hours;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.promise.Promise;
import fabulum.core.sending.Author;
import fabulum.server.FabulumApplication;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.ReceivedText;
import fabulum.server.conversations.Said;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.lines.NewLine;
import fabulum.server.messaging.Arrivals;
import fabulum.server.messaging.Messaging;
import fabulum.server.messaging.Recipient;
import fabulum.server.people.NewStaff;
import fabulum.server.people.People;
import fabulum.server.people.Teams;
import fabulum.server.platform.RaceRetry;
import java.io.IOException;
import java.lang.reflect.InvocationHandler;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Locale;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DelegatingDataSource;

/** A day of texts through the running server. Started by bench/day. */
public final class Day {
  private static final int CUSTOMERS = 600;
  private static final String DOCK = "+19205550101";
  private static final String[] WORDS = {
    "Is the lift free on Friday morning?",
    "The bilge alarm on Kittiwake went off twice last night. Could somebody look at the float switch before the weekend, please?",
    "Thanks!",
    "We will be in around six with two boats, 31 and 34 feet, and stay until Sunday. Is there room at the outer pier?",
  };

  public static void main(String[] arguments) throws Exception {
    int texts = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 20_000;
    int aSecond = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 85;
    Path folder = Files.createTempDirectory("fabulum-day");
    HttpServer network = network();
    double[] kept = new double[texts];
    long open;
    long busy;
    try (ConfigurableApplicationContext program =
        new SpringApplication(FabulumApplication.class, TimedCommits.class)
            .run(
                "--server.port=0",
                "--fabulum.data=" + folder,
                "--fabulum.network.url=http://localhost:" + network.getAddress().getPort(),
                "--fabulum.network.key=unused",
                "--fabulum.network.secret=unused",
                "--logging.level.root=error",
                "--logging.level.fabulum=error")) {
      // The hour at which it is measured does not matter.
      program.getBean(JdbcTemplate.class).update("update send_settings set night_from_minute = night_until_minute");
      run(program, kept, aSecond);
      JdbcTemplate tables = program.getBean(JdbcTemplate.class);
      while (Integer.valueOf(0).compareTo(tables.queryForObject("select count(*) from outbox", Integer.class)) < 0) {
        Thread.sleep(200);
      }
      busy = size(folder);
      // The last of what can be given back is given back in the quiet after.
      Thread.sleep(60_000);
      open = size(folder);
      System.out.printf(Locale.ROOT, "%,d entries kept%n", tables.queryForObject("select count(*) from entry where kind in ('IN', 'OUT')", Integer.class));
    } finally {
      network.stop(0);
    }
    try (Connection connection = DriverManager.getConnection("jdbc:h2:file:" + file(folder).toString().replace(".mv.db", ""), "fabulum", "")) {
      connection.createStatement().execute("shutdown compact");
    }
    long compacted = size(folder);
    // The program has just been started: what it learns in the first quarter is not what a text costs.
    for (int quarter = 0; quarter < 4; quarter++) {
      double[] some = Arrays.copyOfRange(kept, texts * quarter / 4, texts * (quarter + 1) / 4);
      System.out.printf("to keep a text, quarter %d: %s%n", quarter + 1, spread(Arrays.stream(some)));
    }
    int all = TimedCommits.MILLIS.size();
    System.out.printf(
        Locale.ROOT,
        "a commit by itself, the %,d of the second half: %s%n",
        all - all / 2,
        spread(TimedCommits.MILLIS.stream().skip(all / 2).mapToDouble(each -> each)));
    System.out.printf(Locale.ROOT, "database file %,d kB at the end of the day, %,d kB in the quiet after it, compacted %,d kB: %.1f x%n", busy / 1000, open / 1000, compacted / 1000, open / (double) compacted);
    try (Stream<Path> files = Files.walk(folder)) {
      files.sorted((a, b) -> b.compareTo(a)).forEach(each -> each.toFile().delete());
    }
  }

  private static String spread(DoubleStream times) {
    double[] sorted = times.sorted().toArray();
    int n = sorted.length;
    return String.format(
        Locale.ROOT,
        "median %.2f ms, p95 %.2f, p99 %.2f, longest %.0f",
        sorted[n / 2],
        sorted[n * 95 / 100],
        sorted[n * 99 / 100],
        sorted[n - 1]);
  }

  /** Notes how long each commit takes, from the call until it is on the disk. */
  static final class TimedCommits implements BeanPostProcessor {
    static final Queue<Double> MILLIS = new ConcurrentLinkedQueue<>();

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
      return bean instanceof DataSource source && !(bean instanceof DelegatingDataSource) ? timed(source) : bean;
    }

    private static DataSource timed(DataSource source) {
      return new DelegatingDataSource(source) {
        @Override
        public Connection getConnection() throws SQLException {
          return timed(super.getConnection());
        }
      };
    }

    private static Connection timed(Connection real) {
      InvocationHandler handler =
          (proxy, method, given) -> {
            long began = System.nanoTime();
            try {
              return method.invoke(real, given);
            } catch (InvocationTargetException e) {
              throw e.getCause();
            } finally {
              if (method.getName().equals("commit")) {
                MILLIS.add((System.nanoTime() - began) / 1e6);
              }
            }
          };
      return (Connection) Proxy.newProxyInstance(Connection.class.getClassLoader(), new Class<?>[] {Connection.class}, handler);
    }
  }

  private static Path file(Path folder) throws IOException {
    try (Stream<Path> files = Files.walk(folder)) {
      return files.filter(each -> each.toString().endsWith(".mv.db")).findFirst().orElseThrow();
    }
  }

  private static long size(Path folder) throws IOException {
    return Files.size(file(folder));
  }

  private static void run(ConfigurableApplicationContext program, double[] kept, int aSecond) throws Exception {
    LineId line =
        program
            .getBean(Lines.class)
            .add(new NewLine("Dock", "Dock team", "Dock", new PhoneNumber(DOCK), new Region("US"), Hours.always(ZoneId.of("America/Chicago")), new Promise(Duration.ofHours(1))));
    People people = program.getBean(People.class);
    StaffId priya = people.add(new NewStaff("priya", "Priya Nandakumar", "PN", Role.STAFF, "nine grey herons", false));
    Teams teams = program.getBean(Teams.class);
    teams.join(teams.named("Dock team"), priya);
    people.forget();
    Arrivals arrivals = program.getBean(Arrivals.class);
    Messaging messaging = program.getBean(Messaging.class);
    ScheduledExecutorService day = Executors.newScheduledThreadPool(8);
    CountDownLatch through = new CountDownLatch(kept.length);
    AtomicInteger next = new AtomicInteger();
    AtomicInteger failed = new AtomicInteger();
    var ticks =
        day.scheduleAtFixedRate(
            () -> {
              int i = next.getAndIncrement();
              if (i < kept.length) {
                day.execute(() -> {
                  try {
                    long began = System.nanoTime();
                    PhoneNumber customer = new PhoneNumber("+1312" + (2_000_000 + i / 2 % CUSTOMERS));
                    String words = WORDS[i / 2 % WORDS.length] + " (" + i + ")";
                    if (i % 2 == 0) {
                      ReceivedText text = ReceivedText.of("the-day-" + i, line, customer, words, Arrival.of(Instant.now(), Instant.now()));
                      RaceRetry.run(() -> arrivals.receive(text));
                    } else {
                      Said said = Said.by(new Author.Person(priya.value()), words, new ClientReference("the-day-" + i));
                      if (RaceRetry.run(() -> messaging.send(Recipient.on(line, Participants.of(customer)), said)).text().isEmpty()) {
                        failed.incrementAndGet();
                      }
                    }
                    kept[i] = (System.nanoTime() - began) / 1e6;
                  } catch (RuntimeException refused) {
                    failed.incrementAndGet();
                  } finally {
                    through.countDown();
                  }
                });
              }
            },
            0,
            1_000_000_000L / aSecond,
            TimeUnit.NANOSECONDS);
    through.await();
    System.out.printf(Locale.ROOT, "%,d of %,d were refused%n", failed.get(), kept.length);
    ticks.cancel(false);
    day.shutdown();
  }

  private static HttpServer network() throws IOException {
    HttpServer network = HttpServer.create(new InetSocketAddress(0), 0);
    network.setExecutor(Executors.newFixedThreadPool(8, work -> {
      Thread thread = new Thread(work);
      thread.setDaemon(true);
      return thread;
    }));
    network.createContext(
        "/",
        exchange -> {
          exchange.getRequestBody().readAllBytes();
          boolean sent = exchange.getRequestMethod().equals("POST");
          boolean known = !exchange.getRequestURI().getPath().contains("/by-reference/");
          String said = sent ? "{\"id\":\"n" + System.nanoTime() + "\"}" : known ? "{\"texts\":[]}" : "{\"code\":\"not-known\"}";
          byte[] answer = said.getBytes(StandardCharsets.UTF_8);
          exchange.sendResponseHeaders(sent ? 202 : known ? 200 : 404, answer.length);
          exchange.getResponseBody().write(answer);
          exchange.close();
        });
    network.start();
    return network;
  }
}
