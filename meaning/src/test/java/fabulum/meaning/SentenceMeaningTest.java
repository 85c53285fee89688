package fabulum.meaning;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.meaning.Meaning;
import fabulum.core.suggest.Lesson;
import fabulum.core.suggest.Suggester;
import fabulum.core.suggest.Suggestion;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.Set;
import org.junit.jupiter.api.Test;

class SentenceMeaningTest {
  private final Meaning meaning = ServiceLoader.load(Meaning.class).findFirst().orElseThrow();

  @Test
  void whatMeansTheSameIsSuggestedThoughNoWordIsShared() {
    Suggester suggester = new Suggester(Optional.of(meaning));
    suggester.know(1, "Pump-out", "The pump-out works again. Tokens at the harbour office.");
    suggester.know(2, "Fuel hours", "The fuel dock is open from 7:00 to 18:00.");
    suggester.know(3, "Invoice", "I have asked accounts to look at your invoice.");
    suggester.learn(new Lesson(10, 2, "what time does the fuel dock close"));
    suggester.learn(new Lesson(11, 3, "my invoice is wrong"));
    assertThat(suggester.suggest("Until when can I get diesel?", Set.of(1L, 2L, 3L), id -> true))
        .extracting(Suggestion::template)
        .startsWith(2L);
    assertThat(suggester.suggest("you charged me twice", Set.of(1L, 2L, 3L), id -> true))
        .extracting(Suggestion::template)
        .startsWith(3L);
    assertThat(suggester.suggest("Happy birthday!", Set.of(1L, 2L, 3L), id -> true)).isEmpty();
    assertThat(meaning.of(" ")).hasSameSizeAs(meaning.of("x"));
  }
}
