package fabulum.server.meaning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class RememberedMeaningTest {
  private final List<String> asked = new ArrayList<>();
  private final RememberedMeaning meaning =
      new RememberedMeaning(words -> {
        asked.add(words);
        return new float[] {words.length()};
      });

  @Test
  void theModelIsAskedOnceForTheSameWords() {
    assertThat(meaning.of("good morning")).isEqualTo(meaning.of("good morning"));
    assertThat(asked).containsExactly("good morning");
    assertThat(meaning.knows(List.of("good morning"))).isTrue();
  }

  @Test
  void whatACustomerSaidIsForgottenAndWhatIsAlwaysComparedWithIsKept() {
    meaning.of("good morning");
    meaning.of("my knee hurts");
    meaning.forgetAllBut(List.of("good morning", "thank you"));
    assertThat(meaning.knows(List.of("my knee hurts"))).isFalse();
    meaning.of("good morning");
    meaning.of("my knee hurts");
    assertThat(asked).containsExactly("good morning", "my knee hurts", "my knee hurts");
  }
}
