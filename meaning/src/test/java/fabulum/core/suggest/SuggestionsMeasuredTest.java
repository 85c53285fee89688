package fabulum.core.suggest;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.meaning.Meaning;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** With the real model: what docs/suggestions.md reports; a little is left to rounding. */
class SuggestionsMeasuredTest {
  private static final String HELD_BACK = "held back";
  private static final String FAR = "far";

  /** Both sets are compared with the same common asks. */
  private final Map<String, float[]> known = new ConcurrentHashMap<>();

  private final Optional<Meaning> model =
      ServiceLoader.load(Meaning.class).findFirst().map(Meaning::fine).map(this::remembered);
  private final Map<String, int[]> right = new HashMap<>();

  private Meaning remembered(Meaning real) {
    return words -> known.computeIfAbsent(words, real::of).clone();
  }

  @Test
  void theHeldBackHalfIsAnsweredAsReported() throws IOException {
    for (String set : List.of("suggest-dental", "suggest-heating")) {
      measure(
          JsonMapper.shared().readTree(Files.readString(Path.of("../bench/sets", set + ".json"))));
    }
    assertThat(share("all")).isGreaterThan(0.94);
    assertThat(share("ordinary")).isGreaterThan(0.98);
    assertThat(share("language")).isGreaterThan(0.95);
    assertThat(share(FAR)).isGreaterThan(0.75);
    assertThat(share("nothing fits")).isGreaterThan(0.8);
  }

  private double share(String kind) {
    int[] counted = right.getOrDefault(kind, new int[] {0, 1});
    return (double) counted[0] / counted[1];
  }

  private void measure(JsonNode set) {
    Suggester suggester = new Suggester(model);
    Map<String, Long> ids = new HashMap<>();
    for (JsonNode one : set.path("templates")) {
      long id = ids.size() + 1L;
      ids.put(one.path("key").asString(), id);
      suggester.know(id, one.path("title").asString(), one.path("words").asString());
    }
    for (JsonNode one : set.path("history")) {
      long template = ids.getOrDefault(one.path("answeredWith").asString(""), 0L);
      suggester.learn(new Lesson(1, template, one.path("asked").asString()));
    }
    for (JsonNode one : set.path("cases")) {
      if (one.path("half").asString().equals(HELD_BACK)) {
        count(one, suggester, ids);
      }
    }
  }

  private void count(JsonNode one, Suggester suggester, Map<String, Long> ids) {
    List<Long> found =
        suggester
            .suggest(one.path("asked").asString(), Set.copyOf(ids.values()), answer -> true)
            .stream()
            .map(Suggestion::template)
            .toList();
    List<Long> truth = one.path("truth").valueStream().map(key -> ids.get(key.asString())).toList();
    boolean isRight = truth.isEmpty() ? found.isEmpty() : truth.stream().anyMatch(found::contains);
    Stream<String> kinds =
        truth.isEmpty() ? Stream.of("nothing fits") : Stream.of("all", one.path("kind").asString());
    kinds.forEach(kind -> {
      int[] counted = right.computeIfAbsent(kind, none -> new int[2]);
      counted[0] += isRight ? 1 : 0;
      counted[1]++;
    });
  }
}
