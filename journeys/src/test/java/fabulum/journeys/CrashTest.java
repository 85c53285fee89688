package fabulum.journeys;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.ConcurrentSkipListSet;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The real programs, as they are packed: handsets text the business and the business answers, all
 * texts numbered, while Fabulum is killed with {@code kill -9} at bad moments: while the network is
 * still answering what it took, and in a burst of texts coming in. Meanwhile texts are planned that
 * fall due every moment, and files are put to texts. Then what was acknowledged is compared with
 * what is stored and with what the handsets got.
 */
class CrashTest {
  /** So many kills; more of them with {@code -Dcrash.kills}. */
  private static final int KILLS = Integer.getInteger("crash.kills", 2);

  /** The network thinks this long about what it is handed, where it is slow. */
  private static final int SLOW_MILLIS = 250;

  private static final int BURST = 12;
  private static final long SEED = 99;
  private static final String DOCK = "+19205550101";

  /** Conversations in which texts are planned; each takes 50. */
  private static final int PLANNED_IN = 6;

  /** The conversation in which texts with a file go. */
  private static final int WITH_FILES = PLANNED_IN + 2;

  /**
   * The most texts that customers send from one wait for traffic to the next. Without a limit, more
   * would come than the program can catch up with where it takes long to start.
   */
  private static final int MOST_TEXTS = 60;

  private static final Duration PATIENCE = Duration.ofMinutes(5);

  /** From this JDK on, archives of classes are made and renewed by themselves. */
  private static final int CLASS_ARCHIVES_SINCE = 19;

  /** An archive of classes takes as long to make as it saves in this many starts. */
  private static final boolean ARCHIVED =
      KILLS > 4 && Runtime.version().feature() >= CLASS_ARCHIVES_SINCE;

  @TempDir Path folder;
  private final int port = freePort();
  private final int networkPort = freePort();
  private final HttpClient http =
      HttpClient.newBuilder()
          .cookieHandler(new CookieManager())
          .connectTimeout(Duration.ofSeconds(2))
          .build();
  private final Set<String> textedByHandsets = new ConcurrentSkipListSet<>();
  private final Set<String> acknowledgedAnswers = new ConcurrentSkipListSet<>();
  private final Set<String> triedAnswers = new ConcurrentSkipListSet<>();
  private final Set<String> acknowledgedPlans = new ConcurrentSkipListSet<>();

  /** Hashes of the files that went with texts, by the words of the text. */
  private final Map<String, String> acknowledgedFiles = new ConcurrentSkipListMap<>();

  private final AtomicInteger next = new AtomicInteger();
  private volatile int most = MOST_TEXTS;
  private volatile boolean going = true;
  private volatile String token = "";
  private Process network;
  private Process fabulum;

  @AfterEach
  void stop() {
    if (fabulum != null) {
      fabulum.destroyForcibly();
    }
    if (network != null) {
      network.destroyForcibly();
    }
  }

  @Test
  void nothingAcknowledgedIsLostAndNothingGoesTwice() throws Exception {
    network =
        start(
            "standins",
            "--server.port=" + networkPort,
            "--standins.data=" + folder,
            "--standins.carrying=20ms",
            "--standins.webhook=http://localhost:" + port + "/webhook/network",
            "--standins.key=k",
            "--standins.secret=s");
    // The same program, and it brings accounts and lines; after the first kill the server goes on
    // with them.
    startFabulum("demo");
    if (ARCHIVED) {
      end();
      startFabulum("server");
      end();
      startFabulum("server");
    }
    ExecutorService people = Executors.newFixedThreadPool(4);
    people.execute(this::textAsCustomers);
    people.execute(this::answerAsStaff);
    people.execute(this::planAsStaff);
    people.execute(this::attachAsStaff);
    Random random = new Random(SEED);
    for (int kill = 0; kill < KILLS; kill++) {
      waitFor("some traffic", progress(8 + random.nextInt(20)));
      boolean handingOver = kill % 2 == 0;
      if (handingOver) {
        slow(SLOW_MILLIS);
        waitFor("a text that is on its way to the network", progress(1 + random.nextInt(3)));
        pause(random.nextInt(SLOW_MILLIS));
      } else {
        IntStream.range(0, BURST).parallel().forEach(nth -> textAsCustomer());
        pause(random.nextInt(SLOW_MILLIS));
      }
      fabulum.destroyForcibly().waitFor();
      slow(0);
      startFabulum("server");
    }
    waitFor("some traffic after the last kill", progress(10));
    // However few of a kind a slow machine has got through so far.
    most = next.get() + MOST_TEXTS;
    waitFor("enough of each kind", this::enoughOfEachKind);
    going = false;
    people.shutdown();
    assertThat(people.awaitTermination(30, TimeUnit.SECONDS)).isTrue();

    waitFor("every handset text to be shown", () -> shown().containsAll(textedByHandsets));
    waitFor("all that was planned to go", this::nothingIsPlanned);
    waitFor("the outbox to be empty", this::outboxIsEmpty);
    waitFor("every file to be fetched", this::nothingIsOnItsWay);
    end();
    compare();
  }

  private boolean enoughOfEachKind() {
    return textedByHandsets.size() > 20 * KILLS
        && acknowledgedAnswers.size() > 5 * KILLS
        && acknowledgedPlans.size() > 5 * KILLS
        && acknowledgedFiles.size() > 2 * KILLS;
  }

  private void compare() throws Exception {
    List<String> received =
        query("select words from entry where kind = 'IN' and words regexp '^in [0-9]+$'");
    List<String> written =
        query("select words from entry where kind = 'OUT' and words regexp '^out [0-9]+$'");
    assertThat(received)
        .doesNotHaveDuplicates()
        .containsExactlyInAnyOrderElementsOf(textedByHandsets);
    assertThat(written).doesNotHaveDuplicates().containsAll(acknowledgedAnswers);
    assertThat(triedAnswers).containsAll(written);
    assertThat(
            query(
                "select words from entry where kind = 'OUT' and delivery in ('WAITING', 'NOT_DELIVERED')"))
        .isEmpty();
    List<String> planned =
        query("select words from entry where kind = 'OUT' and words regexp '^later [0-9]+$'");
    assertThat(planned)
        .doesNotHaveDuplicates()
        .containsExactlyInAnyOrderElementsOf(acknowledgedPlans);
    List<String> withFiles =
        query("select words from entry where kind = 'OUT' and words regexp '^with [0-9]+$'");
    compareFiles(withFiles);
    // The demonstration has one customer who opts out.
    List<String> confirmed =
        query(
            "select words from entry where kind = 'OUT' and words like '%Text START to get them again.'");
    List<String> arrived = carriedByTheNetwork();
    assertThat(arrived)
        .doesNotHaveDuplicates()
        .containsExactlyInAnyOrderElementsOf(
            Stream.of(written, planned, withFiles, confirmed).flatMap(List::stream).toList());
    System.out.printf(
        "%d texts in, %d out, %d planned, %d with a file, %d kills: none missing, none twice%n",
        received.size(), written.size(), planned.size(), withFiles.size(), KILLS);
  }

  /** Each text has its one file, whole; and whatever lies among the files is whole. */
  private void compareFiles(List<String> withFiles) throws Exception {
    assertThat(withFiles).doesNotHaveDuplicates().containsAll(acknowledgedFiles.keySet());
    List<String> kept =
        query(
            "select e.words || ' ' || a.hash from entry e join attachment a on a.entry_id = e.id where e.words regexp '^with [0-9]+$'");
    assertThat(kept)
        .hasSameSizeAs(withFiles)
        .containsAll(
            acknowledgedFiles.entrySet().stream()
                .map(one -> one.getKey() + " " + one.getValue())
                .toList());
    Set<String> whole = new TreeSet<>();
    Path files = folder.resolve("files");
    try (Stream<Path> all = Files.walk(files)) {
      for (Path file : all.filter(Files::isRegularFile).toList()) {
        if (!file.startsWith(files.resolve("parts"))) {
          String hash = hash(Files.readAllBytes(file));
          assertThat(file.getFileName().toString()).isEqualTo(hash);
          whole.add(hash);
        }
      }
    }
    assertThat(whole)
        .containsAll(
            query("select hash from attachment where hash is not null and state = 'HERE'"));
  }

  private static String hash(byte[] octets) throws NoSuchAlgorithmException {
    return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(octets));
  }

  /** The journal's newest word on each text the network took: one a network id. */
  private List<String> carriedByTheNetwork() throws IOException {
    Pattern carried = Pattern.compile("\"carried\":\\{\"id\":\"([^\"]+)\".*?\"body\":\"([^\"]+)\"");
    Set<String> ids = new TreeSet<>();
    List<String> words = new ArrayList<>();
    for (String line : Files.readAllLines(folder.resolve("network.jsonl"))) {
      Matcher found = carried.matcher(line);
      if (found.find() && ids.add(found.group(1))) {
        words.add(found.group(2));
      }
    }
    return words;
  }

  private void textAsCustomers() {
    while (going) {
      if (next.get() < most) {
        textAsCustomer();
      }
      pause(30);
    }
  }

  private void textAsCustomer() {
    int n = next.incrementAndGet();
    String words = "in " + n;
    String handset = "+1212555" + String.format("%04d", 100 + n % 40);
    String body = "{\"to\":\"" + DOCK + "\",\"body\":\"" + words + "\"}";
    if (call("POST", networkPort, "/handsets/" + handset + "/texts", body).startsWith("200")) {
      textedByHandsets.add(words);
    }
  }

  private void slow(int millis) {
    String faults = "{\"delayMillis\":" + millis + "}";
    assertThat(call("PUT", networkPort, "/control/faults", faults)).startsWith("200");
  }

  private void answerAsStaff() {
    int n = 0;
    while (going) {
      String words = "out " + ++n;
      String reference = UUID.randomUUID().toString();
      // The hour at which this runs does not matter.
      String body =
          "{\"words\":\""
              + words
              + "\",\"reference\":\""
              + reference
              + "\",\"confirmed\":[\"night\"]}";
      triedAnswers.add(words);
      // A colleague whose answer seems to fail presses send again: same words, same reference.
      boolean acknowledged = false;
      while (going && !acknowledged) {
        String answer = call("POST", port, "/api/conversations/1/texts", body);
        acknowledged = answer.startsWith("200");
        if (answer.startsWith("401") || answer.startsWith("403")) {
          signIn();
        }
        pause(acknowledged ? 15 : 60);
      }
      if (acknowledged) {
        acknowledgedAnswers.add(words);
      }
    }
  }

  /**
   * Plans texts that fall due after a second or two, while the program runs or does not. Where it
   * runs so slowly that their time has passed when they arrive, the next ones are planned for
   * later.
   */
  private void planAsStaff() {
    int n = 0;
    int refused = 0;
    while (going) {
      String words = "later " + ++n;
      String at = Instant.now().plusMillis(700 + 37 * (n % 40) + 500 * refused).toString();
      String text =
          "{\"words\":\"%s\",\"at\":\"%s\",\"whenClosed\":\"SEND\",\"unlessWritten\":false,"
              + "\"comesToMe\":false,\"confirmed\":[\"night\",\"day-off\"]}";
      String body =
          "{\"reference\":\"%s\",\"text\":%s}"
              .formatted(UUID.randomUUID(), text.formatted(words, at));
      String address = "/api/conversations/" + (1 + n % PLANNED_IN) + "/planned";
      String answer = "no answer";
      // Without an answer it is planned again under its reference, unless its time has passed.
      while (answer.startsWith("no answer") || answer.startsWith("4")) {
        answer = call("POST", port, address, body);
        if (answer.startsWith("422") || answer.startsWith("409") || answer.startsWith("404")) {
          break;
        }
        if (answer.startsWith("4")) {
          signIn();
        }
        pause(60);
      }
      if (answer.startsWith("200")) {
        acknowledgedPlans.add(words);
        refused = 0;
      } else {
        refused++;
      }
    }
  }

  /** Puts a file to a text and sends both, again and again until that is acknowledged. */
  private void attachAsStaff() {
    Pattern id = Pattern.compile("\"id\":(\\d+)");
    int n = 0;
    while (going) {
      String words = "with " + ++n;
      byte[] file = ("%PDF-1.4\n%" + (words + " ").repeat(9_000) + "\n%%EOF\n").getBytes(UTF_8);
      Matcher there = id.matcher(upload("/api/conversations/" + WITH_FILES + "/attachments", file));
      if (!there.find()) {
        pause(60);
        continue;
      }
      String body =
          "{\"words\":\"%s\",\"reference\":\"%s\",\"confirmed\":[\"night\",\"day-off\"],\"attachments\":[%s]}"
              .formatted(words, UUID.randomUUID(), there.group(1));
      String answer = "no answer";
      while (going && !answer.startsWith("200")) {
        answer = call("POST", port, "/api/conversations/" + WITH_FILES + "/texts", body);
        if (answer.startsWith("401") || answer.startsWith("403")) {
          signIn();
        }
        pause(60);
      }
      if (answer.startsWith("200")) {
        acknowledgedFiles.put(words, hashOf(file));
      }
    }
  }

  private static String hashOf(byte[] octets) {
    try {
      return hash(octets);
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  private String upload(String path, byte[] file) {
    String head =
        "--part\r\nContent-Disposition: form-data; name=\"file\"; filename=\"plan.pdf\"\r\n\r\n";
    byte[] body =
        Stream.of(head.getBytes(UTF_8), file, "\r\n--part--\r\n".getBytes(UTF_8))
            .collect(ByteArrayOutputStream::new, (to, from) -> to.writeBytes(from), (a, b) -> {})
            .toByteArray();
    return send(
        HttpRequest.newBuilder(URI.create("http://localhost:" + port + path))
            .header("Content-Type", "multipart/form-data; boundary=part")
            .POST(BodyPublishers.ofByteArray(body)));
  }

  private boolean nothingIsPlanned() {
    String planned = call("GET", port, "/api/planned", null);
    return planned.startsWith("200") && !planned.contains("\"words\":\"later ");
  }

  private void startFabulum(String program) throws Exception {
    fabulum =
        start(
            program,
            "--server.port=" + port,
            "--fabulum.data=" + folder,
            "--fabulum.page.address=http://localhost:" + port,
            "--fabulum.network.url=http://localhost:" + networkPort,
            "--fabulum.network.key=k",
            "--fabulum.network.secret=s",
            // What texts mean would be worked out on a core of its own.
            "--fabulum.meaning.used=false",
            "--fabulum.demo.past=60",
            "--fabulum.demo.months=2");
    waitFor("signing in", () -> signIn().startsWith("200"));
  }

  private void end() throws InterruptedException {
    fabulum.destroy();
    fabulum.waitFor();
  }

  private String signIn() {
    call("GET", port, "/api/session", null);
    return call(
        "POST", port, "/api/session", "{\"name\":\"maren\",\"password\":\"quillhaven demo\"}");
  }

  /** Every numbered text that the interface shows, read as a person would page through it. */
  private Set<String> shown() {
    Set<String> shown = new TreeSet<>();
    Pattern ids = Pattern.compile("\"id\":(\\d+),\"version\"");
    eachPage(
        "/api/conversations?group=OUR_TURN&limit=100",
        "next",
        "from",
        page -> {
          Matcher id = ids.matcher(page);
          while (id.find()) {
            eachPage(
                "/api/conversations/" + id.group(1) + "/script?limit=100",
                "earlier",
                "before",
                script -> {
                  Matcher words = Pattern.compile("\"words\":\"(in \\d+)\"").matcher(script);
                  while (words.find()) {
                    shown.add(words.group(1));
                  }
                });
          }
        });
    return shown;
  }

  private void eachPage(String path, String field, String parameter, Consumer<String> reader) {
    Pattern more = Pattern.compile("\"" + field + "\":\"([^\"]+)\"");
    String place = "";
    do {
      String page = call("GET", port, path + place, null);
      reader.accept(page);
      Matcher next = more.matcher(page);
      place = next.find() ? "&" + parameter + "=" + next.group(1) : "";
    } while (!place.isEmpty());
  }

  private boolean outboxIsEmpty() {
    return hasNone(1, "WAITING");
  }

  private boolean nothingIsOnItsWay() {
    return hasNone(WITH_FILES, "WAITING") && hasNone(WITH_FILES, "SENT");
  }

  private boolean hasNone(int conversation, String delivery) {
    String script =
        call("GET", port, "/api/conversations/" + conversation + "/script?limit=100", null);
    return script.startsWith("200") && !script.contains("\"delivery\":\"" + delivery + "\"");
  }

  /** One call; the answer is the status and the body, or why there was none. */
  private String call(String method, int at, String path, String body) {
    return send(
        HttpRequest.newBuilder(URI.create("http://localhost:" + at + path))
            .header("Content-Type", "application/json")
            .method(
                method, body == null ? BodyPublishers.noBody() : BodyPublishers.ofString(body)));
  }

  private String send(HttpRequest.Builder request) {
    request.timeout(Duration.ofSeconds(5)).header("X-XSRF-TOKEN", token);
    try {
      var response = http.send(request.build(), BodyHandlers.ofString());
      response.headers().allValues("Set-Cookie").stream()
          .filter(cookie -> cookie.startsWith("XSRF-TOKEN="))
          .forEach(cookie -> token = cookie.substring("XSRF-TOKEN=".length(), cookie.indexOf(';')));
      return response.statusCode() + " " + response.body();
    } catch (IOException gone) {
      return "no answer";
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return "interrupted";
    }
  }

  private Progress progress(int more) {
    most = next.get() + MOST_TEXTS;
    int in = textedByHandsets.size() + more;
    int out = acknowledgedAnswers.size() + more / 2;
    return () -> textedByHandsets.size() >= in && acknowledgedAnswers.size() >= out;
  }

  private interface Progress {
    boolean reached() throws Exception;
  }

  private static void waitFor(String what, Progress progress) throws Exception {
    long deadline = System.nanoTime() + PATIENCE.toNanos();
    while (!progress.reached()) {
      assertThat(System.nanoTime()).as("waited in vain for " + what).isLessThan(deadline);
      pause(50);
    }
  }

  /** Traffic has a pace; nothing here is decided by it. */
  private static void pause(int millis) {
    LockSupport.parkNanos(millis * 1_000_000L);
  }

  /** As it runs for real: unpacked; with many starts to come, with an archive of its classes. */
  private Process start(String module, String... arguments) throws Exception {
    Path unpacked = folder.resolve("programs").resolve(module);
    String jar = "fabulum-" + module + "-0.1.0-exec.jar";
    if (!Files.exists(unpacked)) {
      Path packed = Path.of("..", module, "target", jar);
      assertThat(packed).exists();
      java("unpacking", "-Djarmode=tools", "-jar", packed, "extract", "--destination", unpacked)
          .waitFor();
    }
    List<Object> command = new ArrayList<>(List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC"));
    if (ARCHIVED && module.equals("server")) {
      command.add("-XX:+AutoCreateSharedArchive");
      command.add("-XX:SharedArchiveFile=" + unpacked.resolve("classes.jsa"));
    }
    command.addAll(List.of("-jar", unpacked.resolve(jar)));
    command.addAll(List.of(arguments));
    return java(module, command.toArray());
  }

  private Process java(String name, Object... arguments) throws IOException {
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    Stream.of(arguments).map(String::valueOf).forEach(command::add);
    return new ProcessBuilder(command)
        .redirectErrorStream(true)
        .redirectOutput(ProcessBuilder.Redirect.appendTo(folder.resolve(name + ".log").toFile()))
        .start();
  }

  private Connection connect() throws Exception {
    return DriverManager.getConnection(
        "jdbc:h2:file:" + folder.resolve("fabulum") + ";WRITE_DELAY=0", "fabulum", "");
  }

  private List<String> query(String sql) throws Exception {
    List<String> words = new ArrayList<>();
    try (Connection connection = connect();
        ResultSet rows = connection.createStatement().executeQuery(sql)) {
      while (rows.next()) {
        words.add(rows.getString(1));
      }
    }
    return words;
  }

  private static int freePort() {
    try (ServerSocket socket = new ServerSocket(0)) {
      return socket.getLocalPort();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
