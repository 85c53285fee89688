package fabulum.meaning;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.meaning.Meaning;
import fabulum.core.meaning.PackedMeaning;
import fabulum.core.meaning.PackedMeaning.Comparison;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.ServiceLoader;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AlikeTest {
  private final Meaning meaning = ServiceLoader.load(Meaning.class).findFirst().orElseThrow();
  private final Map<Integer, byte[]> texts = new LinkedHashMap<>();
  private final List<Question> questions = new ArrayList<>();

  private record Question(String words, String means) {}

  private record Near(int text, double likeness) {}

  private void read(String name) throws IOException {
    try (InputStream file = Objects.requireNonNull(getClass().getResourceAsStream(name))) {
      for (String line : new String(file.readAllBytes(), StandardCharsets.UTF_8).split("\n")) {
        String[] parts = line.split("\\|", 2);
        if (parts[0].equals("?")) {
          int end = parts[1].lastIndexOf('=');
          questions.add(new Question(parts[1].substring(0, end), parts[1].substring(end + 1)));
        } else if (!line.startsWith("#")) {
          texts.put(Integer.valueOf(parts[0]), PackedMeaning.pack(meaning.of(parts[1])));
        }
      }
    }
  }

  private List<Near> shown(String words) {
    Comparison comparison = new Comparison(meaning.of(words), List.copyOf(texts.values()));
    List<Near> all = new ArrayList<>();
    texts.forEach((text, point) -> all.add(new Near(text, comparison.likeness(point, 0))));
    all.sort(Comparator.comparingDouble(Near::likeness).reversed());
    double best = all.get(0).likeness();
    return all.stream().filter(near -> PackedMeaning.isNear(near.likeness(), best)).toList();
  }

  /** Most questions have what they mean among the first three, and little else beside it. */
  @ParameterizedTest
  @CsvSource({"/alike-tuned.txt, 11, 3.0", "/alike-held.txt, 10, 3.0"})
  void whatMeansTheSameIsFoundInOtherWords(String set, int found, double others)
      throws IOException {
    read(set);
    int right = 0;
    int shown = 0;
    for (Question question : questions) {
      List<Near> near = shown(question.words());
      shown += near.size();
      boolean there =
          near.stream()
              .limit(3)
              .anyMatch(one -> String.valueOf(one.text()).equals(question.means()));
      right += there ? 1 : 0;
    }
    System.out.printf(
        "%s: %d of %d found, %.1f shown for each%n",
        set, right, questions.size(), shown / (double) questions.size());
    assertThat(right).isGreaterThanOrEqualTo(found);
    assertThat(shown / (double) questions.size()).isLessThan(others);
  }
}
