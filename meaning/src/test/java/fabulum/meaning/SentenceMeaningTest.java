package fabulum.meaning;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.meaning.Meaning;
import fabulum.core.meaning.Points;
import fabulum.core.suggest.Lesson;
import fabulum.core.suggest.Suggester;
import fabulum.core.suggest.Suggestion;
import java.util.ArrayList;
import java.util.List;
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

  /** Otherwise the file has to be written anew: bench/suggest --known. */
  @Test
  void whatIsKnownBeforehandLiesWhereTheModelSays() {
    SentenceMeaning model = new SentenceMeaning();
    List<String> texts = Suggester.fixedTexts();
    KnownPoints known = KnownPoints.of(texts);
    assertThat(texts).hasSizeGreaterThan(2_000).allMatch(text -> known.find(text).isPresent());
    assertThat(known.find("not one of them")).isEmpty();
    for (int i = 0; i < texts.size(); i += 97) {
      String text = texts.get(i);
      float[] said = Points.unit(model.computed(text));
      assertThat(Points.likeness(Points.unit(model.of(text)), said)).as(text).isGreaterThan(0.999f);
    }
  }

  @Test
  void textsThatStandInTheFileOtherwiseAreNotTaken() {
    List<String> texts = new ArrayList<>(Suggester.fixedTexts());
    texts.set(1, "a new piece of talk");
    KnownPoints known = KnownPoints.of(texts);
    assertThat(known.find(texts.get(0))).isPresent();
    assertThat(known.find(texts.get(1))).isEmpty();
    assertThat(known.find(texts.get(2))).isPresent();
  }
}
