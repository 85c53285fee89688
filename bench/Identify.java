import fabulum.core.identify.Ranking;
import fabulum.core.identify.Ranking.Likely;
import fabulum.core.identify.Spoken;
import fabulum.core.hours.Hours;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.promise.Promise;
import fabulum.server.FabulumApplication;
import fabulum.server.identify.WhoWrites;
import fabulum.server.lines.Lines;
import fabulum.server.lines.NewLine;
import java.io.BufferedWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Says of each case who probably wrote, and how often that is right. Started by bench/identify. */
public final class Identify {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static ZoneId zone = ZoneId.of("America/Chicago");
  private static final int WRITTEN = 5;
  private static final int BINS = 10;

  private record Place(String key, double likelihood) {}

  public static void main(String[] arguments) throws Exception {
    Map<String, String> given = new HashMap<>();
    for (int i = 0; i + 1 < arguments.length; i += 2) {
      given.put(arguments[i], arguments[i + 1]);
    }
    if (!given.containsKey("--world") || !given.containsKey("--cases")) {
      System.err.println("bench/identify --world WORLD.json --cases CASES.jsonl [--out RESULT.jsonl]");
      System.exit(2);
    }
    JsonNode world = JSON.readTree(Files.readString(Path.of(given.get("--world"))));
    zone = ZoneId.of(world.path("zone").asString("America/Chicago"));
    Path folder = Files.createTempDirectory("fabulum-bench");
    try {
      Map<Long, String> keys;
      try (ConfigurableApplicationContext program = start(folder, world)) {
        program.getBean(Lines.class).add(line(world));
        keys = new Filling(program.getBean(JdbcTemplate.class), world).fill();
      }
      try (ConfigurableApplicationContext program = start(folder, world)) {
        run(program.getBean(WhoWrites.class), world, keys, Path.of(given.get("--cases")), given.get("--out"));
      }
    } finally {
      try (Stream<Path> files = Files.walk(folder)) {
        files.sorted((a, b) -> b.compareTo(a)).forEach(file -> file.toFile().delete());
      }
    }
  }

  private static ConfigurableApplicationContext start(Path folder, JsonNode world) {
    List<String> options = new ArrayList<>(List.of("--server.port=0", "--fabulum.data=" + folder, "--logging.level.root=error", "--logging.level.fabulum=error"));
    if (world.hasNonNull("now")) {
      options.add("--fabulum.clock.at=" + at(world.path("now")));
    }
    return new SpringApplication(FabulumApplication.class).run(options.toArray(new String[0]));
  }

  private static NewLine line(JsonNode world) {
    Region region = new Region(world.path("region").asString("US"));
    return new NewLine("(of the bench)", "(of the bench)", "(of the bench)", new PhoneNumber("+12025550100"), region, Hours.always(zone), new Promise(Duration.ofHours(1)));
  }

  private static void run(WhoWrites who, JsonNode world, Map<Long, String> keys, Path cases, String out) throws Exception {
    Score score = new Score();
    List<String> lines = Files.readAllLines(cases).stream().filter(line -> !line.isBlank()).toList();
    // Once before it is timed: what is compiled and read the first time is not what a person waits for later.
    rank(who, JSON.readTree(lines.get(0)));
    try (BufferedWriter to = out == null ? null : Files.newBufferedWriter(Path.of(out))) {
      for (String line : lines) {
        JsonNode one = JSON.readTree(line);
        long began = System.nanoTime();
        Ranking ranking = rank(who, one);
        double millis = (System.nanoTime() - began) / 1e6;
        List<Place> places = places(ranking, keys);
        if (to != null) {
          to.write(JSON.writeValueAsString(result(one, places, millis)));
          to.newLine();
        }
        score.add(one, places, millis);
      }
    }
    score.print();
  }

  private static Ranking rank(WhoWrites who, JsonNode one) {
    List<Spoken> texts = new ArrayList<>();
    one.path("texts").forEach(text -> texts.add(new Spoken(at(text.path("at")).toInstant(), false, text.path("words").asString(""))));
    return who.rank(number(one.path("number").asString("")), texts, zone);
  }

  private static List<Place> places(Ranking ranking, Map<Long, String> keys) {
    List<Place> places = new ArrayList<>();
    places.add(new Place(null, ranking.nobody()));
    for (Likely likely : ranking.likely()) {
      places.add(new Place(keys.get(likely.customer()), likely.likelihood()));
    }
    places.sort((a, b) -> Double.compare(b.likelihood(), a.likelihood()));
    return places;
  }

  private static ObjectNode result(JsonNode one, List<Place> places, double millis) {
    ObjectNode made = JSON.createObjectNode();
    made.set("id", one.path("id"));
    ArrayNode ranked = made.putArray("ranked");
    for (Place place : places.subList(0, Math.min(WRITTEN, places.size()))) {
      ranked.addObject().put("key", place.key()).put("likelihood", Math.round(place.likelihood() * 10_000) / 10_000.0);
    }
    made.put("millis", Math.round(millis * 100) / 100.0);
    return made;
  }

  /** With its offset; else in the zone of the world, a day from its beginning. */
  private static OffsetDateTime at(JsonNode node) {
    String written = node.asString().strip();
    if (written.matches(".*(?:Z|[+-]\\d\\d:?\\d\\d)$") && written.length() > 10) {
      return OffsetDateTime.parse(written);
    }
    LocalDateTime local = written.length() > 10 ? LocalDateTime.parse(written.replace(' ', 'T')) : LocalDate.parse(written).atStartOfDay();
    return local.atZone(zone).toOffsetDateTime();
  }

  /** As much as a column takes. */
  private static String cut(String words, int most) {
    return words == null || words.length() <= most ? words : words.substring(0, most);
  }

  /** A sender that is no number is one that nobody has. */
  private static PhoneNumber number(String written) {
    String digits = "+" + written.replaceAll("\\D", "");
    return new PhoneNumber(digits.matches("\\+[1-9]\\d{6,14}") ? digits : "+19995550000");
  }

  /** Puts a world into the tables. */
  private static final class Filling {
    private final JdbcTemplate sql;
    private final JsonNode world;
    private final Map<String, Long> numbers = new LinkedHashMap<>();
    private final Map<String, Long> sites = new HashMap<>();

    Filling(JdbcTemplate sql, JsonNode world) {
      this.sql = sql;
      this.world = world;
    }

    Map<Long, String> fill() {
      Map<Long, String> keys = new HashMap<>();
      for (JsonNode customer : world.path("customers")) {
        long id = customer(customer);
        keys.put(id, customer.path("key").asString());
      }
      Map<String, List<JsonNode>> texts = new LinkedHashMap<>();
      for (JsonNode text : world.path("texts")) {
        texts.computeIfAbsent(text.path("number").asString(""), none -> new ArrayList<>()).add(text);
      }
      texts.forEach(this::conversation);
      return keys;
    }

    private final Map<String, Long> detailKinds = new LinkedHashMap<>();

    private long detailKind(String name) {
      return detailKinds.computeIfAbsent(name, none -> newId("detail_kind", "name, type, place", name, "TEXT", detailKinds.size() + 1));
    }

    private long customer(JsonNode customer) {
      long id = newId("customer", "name, email, site_id", cut(customer.path("name").asString(""), 160), cut(string(customer.path("email")), 200), site(customer.path("site")));
      customer.path("contacts").forEach(name -> newId("contact", "customer_id, name", id, cut(name.asString(), 160)));
      customer.path("notes").forEach(note -> newId("customer_note", "customer_id, words", id, cut(note.asString(), 4000)));
      for (JsonNode number : customer.path("numbers")) {
        newId(
            "holding",
            "number_id, customer_id, kind, word, held_from, held_until",
            number(number.path("number").asString()),
            id,
            cut(string(number.path("kind")), 16),
            cut(string(number.path("note")), 80),
            day(number.path("from")),
            day(number.path("until")));
        if (number.hasNonNull("note")) {
          newId("customer_note", "customer_id, words", id, cut(number.path("note").asString(), 4000));
        }
      }
      customer.path("details").properties().forEach(one ->
          sql.update("insert into detail (customer_id, kind_id, words) values (?, ?, ?)", id, detailKind(cut(one.getKey(), 60)), cut(one.getValue().asString(""), 400)));
      customer.path("appointments").forEach(one ->
          newId("appointment", "customer_id, what, starts_at", id, cut(one.path("what").asString(""), 160), at(one.path("startsAt"))));
      customer.path("jobs").forEach(one ->
          newId(
              "job",
              "customer_id, number, what, standing, opened_at",
              id,
              cut(string(one.path("number")), 40),
              cut(one.path("what").asString(""), 200),
              cut(one.path("state").asString("open"), 120),
              one.hasNonNull("openedAt") ? at(one.path("openedAt")) : null));
      return id;
    }

    private void conversation(String address, List<JsonNode> texts) {
      texts.sort((a, b) -> at(a.path("at")).compareTo(at(b.path("at"))));
      OffsetDateTime last = at(texts.get(texts.size() - 1).path("at"));
      long number = number(address);
      long id = newId(
          "conversation",
          "line_id, number_id, began_with, box, turn, since, opened_at, sort_at, last_at, last_words, last_speaker",
          sql.queryForObject("select min(id) from line", Long.class), number, address, "DONE", "THEIRS", last, last, last, last, "", "US");
      sql.update("insert into participant (conversation_id, number_id) values (?, ?)", id, number);
      for (JsonNode text : texts) {
        boolean ours = text.path("direction").asString().equals("out");
        newId(
            "entry",
            "conversation_id, at, kind, words, number_id",
            id, at(text.path("at")), ours ? "OUT" : "IN", text.path("words").asString(""), ours ? null : number);
      }
    }

    private Long site(JsonNode site) {
      return site.isString() ? sites.computeIfAbsent(cut(site.asString(), 80), name -> newId("site", "name", name)) : null;
    }

    private long number(String written) {
      String address = written.matches("[+\\d ().-]{8,}") ? Identify.number(written).e164() : written;
      return numbers.computeIfAbsent(address, e164 -> newId("number", "address", cut(e164, 40)));
    }

    private OffsetDateTime day(JsonNode day) {
      return day.isString() ? at(day) : null;
    }

    private static String string(JsonNode node) {
      return node.isString() ? node.asString() : null;
    }

    private long newId(String table, String columns, Object... values) {
      String marks = String.join(", ", java.util.Collections.nCopies(values.length, "?"));
      return Objects.requireNonNull(
          sql.queryForObject("select id from final table (insert into " + table + " (" + columns + ") values (" + marks + "))", Long.class, values));
    }
  }

  /** Counts what is right. */
  private static final class Score {
    private final List<Double> times = new ArrayList<>();
    private final List<String> misses = new ArrayList<>();
    private final int[] binned = new int[BINS];
    private final int[] right = new int[BINS];
    private final double[] sums = new double[BINS];
    private int cases;
    private int first;
    private int third;
    private int wrongAndSure;
    private int unknown;
    private int unknownRight;

    void add(JsonNode one, List<Place> places, double millis) {
      times.add(millis);
      if (!one.has("truth")) {
        return;
      }
      String truth = one.path("truth").isNull() ? null : one.path("truth").asString();
      boolean hit = Objects.equals(places.get(0).key(), truth);
      double said = places.get(0).likelihood();
      cases++;
      first += hit ? 1 : 0;
      third += places.stream().limit(3).anyMatch(place -> Objects.equals(place.key(), truth)) ? 1 : 0;
      wrongAndSure += !hit && said > 0.9 ? 1 : 0;
      unknown += truth == null ? 1 : 0;
      unknownRight += truth == null && hit ? 1 : 0;
      int bin = Math.min(BINS - 1, (int) (said * BINS));
      binned[bin]++;
      sums[bin] += said;
      right[bin] += hit ? 1 : 0;
      if (!hit) {
        misses.add(String.format(Locale.ROOT, "  %s: said %s (%.0f %%), is %s: %s", one.path("id").asString(), name(places.get(0).key()), 100 * said, name(truth),
            one.path("texts").path(one.path("texts").size() - 1).path("words").asString()));
      }
    }

    private static String name(String key) {
      return key == null ? "nobody" : key;
    }

    void print() {
      double[] sorted = times.stream().mapToDouble(Double::doubleValue).sorted().toArray();
      if (cases > 0) {
        System.out.printf(Locale.ROOT, "%d cases: top-1 %.1f %%, top-3 %.1f %%, wrong above 90 %%: %.1f %%, unknown as unknown %.1f %% of %d%n",
            cases, 100.0 * first / cases, 100.0 * third / cases, 100.0 * wrongAndSure / cases, 100.0 * unknownRight / Math.max(1, unknown), unknown);
        for (int i = 0; i < BINS; i++) {
          if (binned[i] > 0) {
            System.out.printf(Locale.ROOT, "  said %3d to %3d %%: %4d cases, mean %3.0f %%, right %3.0f %%%n", 10 * i, 10 * i + 10, binned[i], 100 * sums[i] / binned[i], 100.0 * right[i] / binned[i]);
          }
        }
      }
      System.out.printf(Locale.ROOT, "  a case: median %.1f ms, p95 %.1f ms%n", sorted[sorted.length / 2], sorted[sorted.length * 95 / 100]);
      misses.forEach(System.out::println);
    }
  }
}
