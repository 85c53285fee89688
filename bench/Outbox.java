import com.sun.net.httpserver.HttpServer;
import fabulum.core.delivery.ClientReference;
import fabulum.core.access.Role;
import fabulum.core.conversation.Participants;
import fabulum.core.hours.Hours;
import fabulum.core.hours.WeekReader;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.promise.Promise;
import fabulum.core.schedule.RepeatText;
import fabulum.core.schedule.Series;
import fabulum.core.schedule.WhenClosed;
import fabulum.core.sending.Author;
import fabulum.core.sending.Reason;
import fabulum.server.FabulumApplication;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.conversations.Said;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.lines.NewLine;
import fabulum.server.messaging.Messaging;
import fabulum.server.messaging.Recipient;
import fabulum.server.people.NewStaff;
import fabulum.server.people.People;
import fabulum.server.access.StaffId;
import fabulum.server.people.Teams;
import fabulum.server.schedule.PlanWanted;
import fabulum.server.schedule.Plans;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/** How soon a person's answer reaches the network while the texts of one act wait. Started by bench/outbox. */
public final class Outbox {
  private static final int MANY = 12_000;
  private static final int ANSWERS = 100;

  /** So many planned texts fall due in one moment. */
  private static final int PLANNED = 10_000;

  private static final int REPEATS = 1_000;
  private static final long NETWORK_MILLIS = 100;
  private static final Map<String, CountDownLatch> awaited = new ConcurrentHashMap<>();

  public static void main(String[] arguments) throws Exception {
    Path folder = Files.createTempDirectory("fabulum-bench");
    HttpServer network = network();
    try (ConfigurableApplicationContext program =
        new SpringApplication(FabulumApplication.class)
            .run(
                "--server.port=0",
                "--fabulum.data=" + folder,
                "--fabulum.network.url=http://localhost:" + network.getAddress().getPort(),
                "--fabulum.network.key=unused",
                "--fabulum.network.secret=unused",
                "--logging.level.root=error",
                "--logging.level.fabulum=error")) {
      measure(program);
    } finally {
      network.stop(0);
      try (Stream<Path> files = Files.walk(folder)) {
        files.sorted((a, b) -> b.compareTo(a)).forEach(file -> file.toFile().delete());
      }
    }
  }

  private static Thread daemon(Runnable work) {
    Thread thread = new Thread(work);
    thread.setDaemon(true);
    return thread;
  }

  private static HttpServer network() throws IOException {
    HttpServer network = HttpServer.create(new InetSocketAddress(0), 0);
    network.setExecutor(Executors.newFixedThreadPool(32, Outbox::daemon));
    network.createContext(
        "/",
        exchange -> {
          String body = new String(exchange.getRequestBody().readAllBytes(), StandardCharsets.UTF_8);
          awaited.forEach((reference, latch) -> {
            if (body.contains(reference)) {
              latch.countDown();
            }
          });
          try {
            Thread.sleep(NETWORK_MILLIS);
          } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
          }
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

  private static void measure(ConfigurableApplicationContext program) throws Exception {
    Lines lines = program.getBean(Lines.class);
    Hours always = Hours.always(ZoneId.of("America/Chicago"));
    Promise hour = new Promise(Duration.ofHours(1));
    LineId line =
        lines.add(new NewLine("Dock", "Dock team", "Dock", new PhoneNumber("+19205550101"), new Region("US"), always, hour));
    People people = program.getBean(People.class);
    StaffId priya = people.add(new NewStaff("priya", "Priya Nandakumar", "PN", Role.STAFF, "nine grey herons", false));
    Teams teams = program.getBean(Teams.class);
    teams.join(teams.named("Dock team"), priya);
    JdbcTemplate tables = program.getBean(JdbcTemplate.class);
    // No pause in which it could be taken back.
    tables.update("update staff set pause_seconds = 0");
    people.forget();
    Conversations conversations = program.getBean(Conversations.class);
    Messaging messaging = program.getBean(Messaging.class);
    ConversationId[] all = new ConversationId[MANY + 2 * ANSWERS];
    for (int i = 0; i < all.length; i++) {
      all[i] = conversations.open(line, Participants.of(new PhoneNumber("+1312" + (2_000_000 + i))));
    }
    double[] alone = answers(messaging, all, MANY, priya, "alone");
    say("an answer, the outbox empty", alone, median(alone));
    for (int i = 0; i < MANY; i++) {
      messaging.send(Recipient.in(all[i]), said(new Author.Several(priya.value(), MANY), "Storm at six.", "several-" + i));
    }
    System.out.printf(Locale.ROOT, "%,d texts of one act wait%n", tables.queryForObject("select count(*) from outbox", Integer.class));
    double[] beside = answers(messaging, all, MANY + ANSWERS, priya, "beside");
    System.out.printf(Locale.ROOT, "%,d still wait%n", tables.queryForObject("select count(*) from outbox", Integer.class));
    say("an answer beside them", beside, median(alone));
    planned(program, all, priya, median(alone));
    repeats();
  }

  /** Ten thousand planned texts fall due in one moment, and a person answers. */
  private static void planned(ConfigurableApplicationContext program, ConversationId[] all, StaffId by, double alone) throws Exception {
    JdbcTemplate tables = program.getBean(JdbcTemplate.class);
    while (waits(tables, "select count(*) from outbox") > 0) {
      Thread.sleep(500);
    }
    Plans plans = program.getBean(Plans.class);
    Instant at = Instant.now().plusSeconds(120);
    for (int i = 0; i < PLANNED; i++) {
      PlanWanted wanted =
          new PlanWanted("Storm at six.", null, List.of(), at, null, null, WhenClosed.SEND, false, false, EnumSet.allOf(Reason.class));
      plans.add(all[i], "planned-text-" + i, wanted, by);
    }
    Thread.sleep(Math.max(0, Duration.between(Instant.now(), at).toMillis()));
    String open = "select count(*) from planned where state = 'WAITING'";
    double[] beside = answers(program.getBean(Messaging.class), all, PLANNED, by, "planned");
    System.out.printf(Locale.ROOT, "%,d planned texts fell due in one moment; %,d were still to go out after the answers%n", PLANNED, waits(tables, open) + waits(tables, "select count(*) from outbox"));
    say("an answer beside planned texts", beside, alone);
  }

  private static int waits(JdbcTemplate tables, String count) {
    Integer found = tables.queryForObject(count, Integer.class);
    return found == null ? 0 : found;
  }

  /** A thousand series of all kinds on a line with an ordinary week and closed days, a year ahead, beside as many bare dates. */
  private static void repeats() {
    String[] rules = {
      "FREQ=DAILY", "FREQ=WEEKLY;BYDAY=MO,WE,FR", "FREQ=MONTHLY;BYMONTHDAY=-1", "FREQ=MONTHLY;BYDAY=2TU", "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29"
    };
    ZoneId zone = ZoneId.of("America/Chicago");
    Instant from = Instant.parse("2026-06-09T19:05:00Z");
    Instant until = from.plus(Duration.ofDays(365));
    Set<LocalDate> closed = Set.of(LocalDate.of(2026, 7, 3), LocalDate.of(2026, 11, 26), LocalDate.of(2026, 12, 25), LocalDate.of(2027, 1, 1));
    Hours hours = new Hours(zone, WeekReader.read("Mon-Fri 8:00-17:00, Sat 9:00-12:00"), closed);
    double[] taken = new double[21];
    double[] bare = new double[taken.length];
    long dates = 0;
    for (int round = 0; round < taken.length; round++) {
      long began = System.nanoTime();
      dates = 0;
      for (int i = 0; i < REPEATS; i++) {
        LocalDate first = LocalDate.of(2026, 1, 1).plusDays(i % 300);
        Series series = new Series(first, LocalTime.of(9, 30), zone, RepeatText.read(rules[i % rules.length]), WhenClosed.NEXT_OPEN_DAY);
        dates += series.after(from, hours).takeWhile(then -> then.isBefore(until)).count();
      }
      taken[round] = (System.nanoTime() - began) / 1e6;
      began = System.nanoTime();
      long sum = 0;
      for (long i = 0; i < dates; i++) {
        sum += LocalDate.of(2026, 6, 9).plusDays(i % 365).atTime(9, 30).atZone(zone).toInstant().getEpochSecond();
      }
      bare[round] = (System.nanoTime() - began) / 1e6 + (sum == 0 ? 1 : 0);
    }
    System.out.printf(Locale.ROOT, "%,d dates of %,d series in a year%n", dates, REPEATS);
    say("a year of all of them", taken, median(bare));
  }

  private static double[] answers(Messaging messaging, ConversationId[] all, int from, StaffId by, String name) throws Exception {
    double[] taken = new double[ANSWERS];
    for (int i = 0; i < ANSWERS; i++) {
      String reference = name + "-answer-" + i + "-";
      CountDownLatch latch = new CountDownLatch(1);
      awaited.put(reference, latch);
      long began = System.nanoTime();
      messaging.send(Recipient.in(all[from + i]), said(new Author.Person(by.value()), "It is yours.", reference));
      if (!latch.await(60, TimeUnit.SECONDS)) {
        throw new IllegalStateException("Answer " + i + " never left");
      }
      taken[i] = (System.nanoTime() - began) / 1e6;
      awaited.remove(reference);
    }
    return taken;
  }

  /** Whatever speaks against it is confirmed: it can be night where the numbers are. */
  private static Said said(Author author, String words, String reference) {
    return Said.by(author, words, new ClientReference(reference)).confirming(EnumSet.allOf(Reason.class));
  }

  private static double median(double[] values) {
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    return sorted[sorted.length / 2];
  }

  private static void say(String what, double[] values, double beside) {
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    System.out.printf(
        Locale.ROOT,
        "%-40s median %7.1f ms (%4.1f x), longest %7.1f ms%n",
        what,
        sorted[sorted.length / 2],
        sorted[sorted.length / 2] / beside,
        sorted[sorted.length - 1]);
  }
}
