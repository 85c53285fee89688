import fabulum.core.suggest.Lesson;
import fabulum.core.meaning.Meaning;
import fabulum.core.suggest.Suggester;
import fabulum.core.suggest.Suggestion;
import java.io.BufferedWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.Set;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Says of each case which templates are suggested, and how often they are right. Started by bench/suggest. */
public final class Suggest {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  /** What came of cases of a kind. */
  private static final class Tally {
    int cases;
    int first;
    int among;
    int nothing;
    int nothingRight;
  }

  public static void main(String[] arguments) throws Exception {
    List<String> sets = new ArrayList<>();
    String out = null;
    boolean byMeaning = true;
    for (int i = 0; i < arguments.length; i++) {
      switch (arguments[i]) {
        case "--set" -> sets.add(arguments[++i]);
        case "--out" -> out = arguments[++i];
        case "--letters" -> byMeaning = false;
        default -> sets.clear();
      }
    }
    if (sets.isEmpty()) {
      System.err.println("bench/suggest --set SET.json [--set SET.json] [--out RESULT.jsonl] [--letters]");
      System.exit(2);
    }
    Optional<Meaning> meaning =
        byMeaning ? ServiceLoader.load(Meaning.class).findFirst().map(Meaning::fine) : Optional.empty();
    System.out.println(meaning.isPresent() ? "by letters and meaning" : "by letters alone");
    Map<String, Tally> tallies = new TreeMap<>();
    List<Double> millis = new ArrayList<>();
    try (BufferedWriter result = out == null ? null : Files.newBufferedWriter(Path.of(out))) {
      for (String set : sets) {
        run(JSON.readTree(Files.readString(Path.of(set))), meaning, tallies, millis, result);
      }
    }
    tallies.forEach(Suggest::print);
    millis.sort(null);
    System.out.printf(
        "time: median %.1f ms, 95 of 100 within %.1f ms%n",
        millis.get(millis.size() / 2), millis.get((int) (millis.size() * 0.95)));
  }

  private static void print(String kind, Tally tally) {
    StringBuilder line = new StringBuilder("%-22s".formatted(kind));
    if (tally.cases > 0) {
      line.append(
          "%4d answered: the first %5.1f %%, among three %5.1f %%"
              .formatted(
                  tally.cases,
                  100.0 * tally.first / tally.cases,
                  100.0 * tally.among / tally.cases));
    }
    if (tally.nothing > 0) {
      line.append(
          "  %3d where nothing fits: nothing shown %5.1f %%"
              .formatted(tally.nothing, 100.0 * tally.nothingRight / tally.nothing));
    }
    System.out.println(line);
  }

  private static void run(
      JsonNode set,
      Optional<Meaning> meaning,
      Map<String, Tally> tallies,
      List<Double> millis,
      BufferedWriter result)
      throws Exception {
    Suggester suggester = new Suggester(meaning);
    Map<String, Long> ids = new HashMap<>();
    List<String> keys = new ArrayList<>(List.of(""));
    for (JsonNode one : set.path("templates")) {
      keys.add(one.path("key").asString());
      long id = keys.size() - 1L;
      ids.put(one.path("key").asString(), id);
      suggester.know(id, one.path("title").asString(""), one.path("words").asString(""));
    }
    long number = 0;
    for (JsonNode one : set.path("history")) {
      long template = ids.getOrDefault(one.path("answeredWith").asString(""), 0L);
      suggester.learn(new Lesson(++number, template, one.path("asked").asString("")));
    }
    Set<Long> offered = Set.copyOf(ids.values());
    for (JsonNode one : set.path("cases")) {
      long began = System.nanoTime();
      List<Suggestion> shown =
          suggester.suggest(one.path("asked").asString(""), offered, id -> true);
      double took = (System.nanoTime() - began) / 1e6;
      millis.add(took);
      List<String> suggested =
          shown.stream().map(each -> keys.get((int) each.template())).toList();
      if (result != null) {
        ObjectNode line = JSON.createObjectNode();
        ArrayNode array = line.putArray("suggested");
        suggested.forEach(array::add);
        line.put("millis", Math.round(took * 10) / 10.0);
        result.write(line.toString());
        result.newLine();
      }
      judge(one, suggested, tallies);
    }
  }

  /** Only here, once it was suggested, the truth is read. */
  private static void judge(JsonNode one, List<String> suggested, Map<String, Tally> tallies) {
    Set<String> truth = new HashSet<>();
    one.path("truth").forEach(key -> truth.add(key.asString()));
    String half = one.path("half").asString("");
    String kind = one.path("kind").asString("");
    Set<String> names = new HashSet<>(List.of(half.isEmpty() ? "all" : half));
    if (!kind.isEmpty() && !truth.isEmpty()) {
      names.add((half.isEmpty() ? "" : half + ", ") + kind);
    }
    for (String name : names) {
      Tally tally = tallies.computeIfAbsent(name, none -> new Tally());
      if (truth.isEmpty()) {
        tally.nothing++;
        tally.nothingRight += suggested.isEmpty() ? 1 : 0;
      } else {
        tally.cases++;
        tally.first += !suggested.isEmpty() && truth.contains(suggested.get(0)) ? 1 : 0;
        tally.among += suggested.stream().anyMatch(truth::contains) ? 1 : 0;
      }
    }
  }
}
