package fabulum.core.wrongnumber;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;

/**
 * Phrases written and labelled by hand. The rules were made with those of one file; those of the
 * other are counted.
 */
class WrongNumberTest {
  private record Phrase(boolean wrong, String words) {
    boolean isRight() {
      return WrongNumber.isSaidIn(words) == wrong;
    }
  }

  private static List<Phrase> phrases(String part) throws IOException {
    String file = "/identify/wrong-number-" + part + ".txt";
    try (InputStream in = Objects.requireNonNull(WrongNumberTest.class.getResourceAsStream(file))) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8)
          .lines()
          .map(line -> new Phrase(line.startsWith("wrong"), line.substring(6)))
          .toList();
    }
  }

  @Test
  void whatSaysItIsSeenAndWhatMerelyContainsTheWordsIsNot() throws IOException {
    assertThat(phrases("tuned")).filteredOn(phrase -> !phrase.isRight()).isEmpty();
    List<Phrase> heldBack = phrases("held-back");
    long right = heldBack.stream().filter(Phrase::isRight).count();
    System.out.printf("Wrong number, held back: %d of %d right%n", right, heldBack.size());
    assertThat(right).isGreaterThan(heldBack.size() * 95L / 100);
  }
}
