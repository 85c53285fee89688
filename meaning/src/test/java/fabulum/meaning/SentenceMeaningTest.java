package fabulum.meaning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.langchain4j.model.embedding.onnx.PoolingMode;
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
    Suggester suggester = new Suggester(Optional.of(meaning.fine()));
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
    FineMeaning fine = model.fine();
    List<String> texts = Suggester.fixedTexts();
    KnownPoints known = KnownPoints.of(texts);
    assertThat(texts).hasSizeGreaterThan(2_000).allMatch(text -> known.find(text).isPresent());
    assertThat(known.find("not one of them")).isEmpty();
    for (int i = 0; i < texts.size(); i += 97) {
      String text = texts.get(i);
      assertSame(text, model.of(text), model.computed(text));
      assertSame(text, fine.of(text), fine.computed(text));
    }
  }

  private static void assertSame(String text, float[] known, float[] computed) {
    assertThat(Points.likeness(Points.unit(known), Points.unit(computed)))
        .as(text)
        .isGreaterThan(0.999f);
  }

  /** The likeness of two texts is the mean of what both models say. */
  @Test
  void theFineMeaningIsThatOfBothModels() {
    List<String> texts = List.of("when do you open", "are you there at eight in the morning");
    Meaning fine = meaning.fine();
    double one = likeness(meaning, texts);
    double both = likeness(fine, texts);
    OneThread second =
        new OneThread(
            "/all-minilm-l6-v2-q.onnx", "/all-minilm-l6-v2-q-tokenizer.json", PoolingMode.MEAN);
    double other = likeness(second::point, texts);
    assertThat(both).isCloseTo((one + other) / 2, within(0.001));
    assertThat(Math.abs(one - other)).as("they differ").isGreaterThan(0.05);
    assertThat(fine.of("x")).hasSize(2 * meaning.of("x").length);
  }

  private static double likeness(Meaning how, List<String> texts) {
    return Points.likeness(Points.unit(how.of(texts.get(0))), Points.unit(how.of(texts.get(1))));
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
