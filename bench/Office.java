import fabulum.core.access.Role;
import fabulum.core.assignment.Candidate;
import fabulum.core.assignment.GivingOut;
import fabulum.core.assignment.Way;
import fabulum.core.hours.Hours;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.promise.Promise;
import fabulum.server.FabulumApplication;
import fabulum.server.lines.Lines;
import fabulum.server.lines.NewLine;
import fabulum.server.people.NewStaff;
import fabulum.server.people.People;
import fabulum.server.access.StaffId;
import fabulum.server.people.Teams;
import java.io.BufferedReader;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.CookieManager;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** Fifty people connected: who is told of a text, and how soon. Started by bench/office. */
public final class Office {
  private static final int SEEING = 40;
  private static final int BLIND = 10;
  private static final int TEXTS = 200;
  private static final int PEOPLE = 200;
  private static final String LINE = "+19205550101";
  private static final String SECRET = "bench";
  private static final String PASSWORD = "nine grey herons";

  private static final Map<String, long[]> heard = new ConcurrentHashMap<>();
  private static final Map<String, CountDownLatch> waited = new ConcurrentHashMap<>();

  public static void main(String[] arguments) throws Exception {
    Path folder = Files.createTempDirectory("fabulum-bench");
    try (ConfigurableApplicationContext program =
        new SpringApplication(FabulumApplication.class)
            .run(
                "--server.port=0",
                "--fabulum.data=" + folder,
                "--fabulum.network.url=http://localhost:1",
                "--fabulum.network.key=unused",
                "--fabulum.network.secret=" + SECRET,
                "--logging.level.root=error",
                "--logging.level.fabulum=error")) {
      fill(program);
      int port = Integer.parseInt(String.valueOf(program.getEnvironment().getProperty("local.server.port")));
      givingOut(measure(port));
    } finally {
      try (Stream<Path> files = Files.walk(folder)) {
        files.sorted((a, b) -> b.compareTo(a)).forEach(file -> file.toFile().delete());
      }
    }
  }

  /** The rule alone, among 200 people. */
  private static void givingOut(double bareRequest) {
    Random random = new Random(20261126);
    List<Candidate> people = new ArrayList<>();
    for (int i = 0; i < PEOPLE; i++) {
      people.add(
          new Candidate(i, random.nextInt(4) > 0, random.nextInt(12), OptionalInt.of(10), random.nextInt(1_000)));
    }
    for (Way way : List.of(Way.IN_TURN, Way.LEAST_WAITING, Way.LAST_OWNER)) {
      double[] taken = new double[5_000];
      for (int i = -2_000; i < taken.length; i++) {
        long began = System.nanoTime();
        GivingOut.decide(way, people, OptionalLong.of(i & 127));
        if (i >= 0) {
          taken[i] = (System.nanoTime() - began) / 1e6;
        }
      }
      say("giving out among 200, " + way.name().toLowerCase(Locale.ROOT), taken, bareRequest);
    }
  }

  private static void fill(ConfigurableApplicationContext program) {
    Lines lines = program.getBean(Lines.class);
    Hours always = Hours.always(ZoneId.of("America/Chicago"));
    Promise hour = new Promise(Duration.ofHours(1));
    lines.add(new NewLine("Dock", "Dock team", "Dock", new PhoneNumber(LINE), new Region("US"), always, hour));
    People people = program.getBean(People.class);
    Teams teams = program.getBean(Teams.class);
    for (int i = 0; i < SEEING + BLIND; i++) {
      StaffId id = people.add(new NewStaff("p" + i, "Person " + i, "P", Role.STAFF, PASSWORD, false));
      teams.join(teams.named(i < SEEING ? "Dock team" : "Other team"), id);
    }
    people.forget();
  }

  private static double measure(int port) throws Exception {
    CountDownLatch open = new CountDownLatch(SEEING + BLIND);
    List<Integer> blindTold = new ArrayList<>();
    HttpClient first = null;
    for (int i = 0; i < SEEING + BLIND; i++) {
      HttpClient http = signedIn(port, "p" + i);
      first = first == null ? http : first;
      listen(http, port, i, open, blindTold);
    }
    open.await(30, TimeUnit.SECONDS);
    stall(port);
    double[] bare = new double[TEXTS];
    for (int i = -50; i < TEXTS; i++) {
      long began = System.nanoTime();
      first.send(HttpRequest.newBuilder(URI.create("http://localhost:" + port + "/api/lines")).build(), HttpResponse.BodyHandlers.ofString());
      if (i >= 0) {
        bare[i] = (System.nanoTime() - began) / 1e6;
      }
    }
    double store = median(bare);
    say("bare request (the lines)", bare, store);
    List<Double> all = new ArrayList<>();
    List<Double> last = new ArrayList<>();
    for (int i = -20; i < TEXTS; i++) {
      String words = "text number " + (i + 20) + ".";
      heard.put(words, new long[SEEING]);
      waited.put(words, new CountDownLatch(SEEING));
      long began = System.nanoTime();
      text(port, i + 20, words);
      if (!waited.get(words).await(10, TimeUnit.SECONDS)) {
        throw new IllegalStateException("Not everybody was told of " + words);
      }
      if (i >= 0) {
        double latest = 0;
        for (long at : heard.get(words)) {
          double taken = (at - began) / 1e6;
          all.add(taken);
          latest = Math.max(latest, taken);
        }
        last.add(latest);
      }
    }
    say("from the network's call to each of 40 browsers", array(all), store);
    say("to the last of them", array(last), store);
    System.out.printf("  told to the 10 who may not see the line: %d; a stalled one beside them delayed nobody%n", blindTold.size());
    return store;
  }

  private static HttpClient signedIn(int port, String name) throws Exception {
    CookieManager cookies = new CookieManager();
    HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).build();
    URI session = URI.create("http://localhost:" + port + "/api/session");
    http.send(HttpRequest.newBuilder(session).build(), HttpResponse.BodyHandlers.ofString());
    String token =
        cookies.getCookieStore().getCookies().stream()
            .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
            .findFirst()
            .orElseThrow()
            .getValue();
    HttpRequest request =
        HttpRequest.newBuilder(session)
            .header("X-XSRF-TOKEN", token)
            .header("Content-Type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString("{\"name\":\"" + name + "\",\"password\":\"" + PASSWORD + "\"}"))
            .build();
    if (http.send(request, HttpResponse.BodyHandlers.ofString()).statusCode() != 200) {
      throw new IllegalStateException("Could not sign in: " + name);
    }
    return http;
  }

  private static void listen(HttpClient http, int port, int who, CountDownLatch open, List<Integer> blindTold) throws Exception {
    HttpResponse<InputStream> response =
        http.send(
            HttpRequest.newBuilder(URI.create("http://localhost:" + port + "/api/live")).build(),
            HttpResponse.BodyHandlers.ofInputStream());
    Thread thread =
        new Thread(
            () -> {
              try (BufferedReader reader =
                  new BufferedReader(new InputStreamReader(response.body(), StandardCharsets.UTF_8))) {
                String line = reader.readLine();
                open.countDown();
                while (line != null) {
                  int at = line.indexOf("text number ");
                  if (at >= 0 && line.contains("\"type\":\"CONVERSATION\"")) {
                    hear(who, line.substring(at, line.indexOf('.', at) + 1), blindTold);
                  }
                  line = reader.readLine();
                }
              } catch (Exception ended) {
                // The measure has ended.
              }
            });
    thread.setDaemon(true);
    thread.start();
  }

  private static void hear(int who, String words, List<Integer> blindTold) {
    if (who >= SEEING) {
      synchronized (blindTold) {
        blindTold.add(who);
      }
      return;
    }
    long[] times = heard.get(words);
    if (times != null && times[who] == 0) {
      times[who] = System.nanoTime();
      waited.get(words).countDown();
    }
  }

  /** A browser that asks for the stream and never reads a byte of it. */
  private static void stall(int port) throws Exception {
    CookieManager cookies = new CookieManager();
    HttpClient http = signedIn(port, "p0");
    cookies = (CookieManager) http.cookieHandler().orElseThrow();
    StringBuilder sent = new StringBuilder();
    cookies.getCookieStore().getCookies().forEach(cookie -> sent.append(cookie.getName()).append('=').append(cookie.getValue()).append("; "));
    Socket socket = new Socket("localhost", port);
    socket.setReceiveBufferSize(1_024);
    OutputStream out = socket.getOutputStream();
    out.write(("GET /api/live HTTP/1.1\r\nHost: localhost\r\nCookie: " + sent + "\r\n\r\n").getBytes(StandardCharsets.US_ASCII));
    out.flush();
  }

  private static void text(int port, int number, String words) throws Exception {
    String from = "+1312555" + String.format(Locale.ROOT, "%04d", 100 + number % 100);
    String body =
        "{\"type\":\"text.received\",\"id\":\"r-" + number + "\",\"from\":\"" + from + "\",\"to\":\"" + LINE
            + "\",\"body\":\"" + words + "\",\"receivedAt\":\"" + Instant.now() + "\"}";
    String stamp = Long.toString(Instant.now().getEpochSecond());
    Mac mac = Mac.getInstance("HmacSHA256");
    mac.init(new SecretKeySpec(SECRET.getBytes(StandardCharsets.UTF_8), "HmacSHA256"));
    String signature = HexFormat.of().formatHex(mac.doFinal((stamp + "." + body).getBytes(StandardCharsets.UTF_8)));
    HttpRequest request =
        HttpRequest.newBuilder(URI.create("http://localhost:" + port + "/webhook/network"))
            .header("Content-Type", "application/json")
            .header("Network-Timestamp", stamp)
            .header("Network-Signature", signature)
            .POST(HttpRequest.BodyPublishers.ofString(body))
            .build();
    int status = HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofString()).statusCode();
    if (status != 200) {
      throw new IllegalStateException("The text was answered " + status);
    }
  }

  private static double[] array(List<Double> all) {
    return all.stream().mapToDouble(Double::doubleValue).toArray();
  }

  private static double median(double[] taken) {
    double[] sorted = taken.clone();
    Arrays.sort(sorted);
    return sorted[sorted.length / 2];
  }

  private static void say(String name, double[] taken, double store) {
    double[] sorted = taken.clone();
    Arrays.sort(sorted);
    System.out.printf(
        Locale.ROOT,
        "  %-48s median %7.3f ms   p95 %7.3f ms   longest %8.3f ms   %6.3f x a bare request%n",
        name,
        sorted[sorted.length / 2],
        sorted[(int) (sorted.length * 0.95)],
        sorted[sorted.length - 1],
        sorted[sorted.length / 2] / store);
  }
}
