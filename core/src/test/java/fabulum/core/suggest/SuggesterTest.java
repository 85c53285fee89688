package fabulum.core.suggest;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.meaning.Meaning;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is suggested, by letters alone and with a meaning that is made up here. */
class SuggesterTest {
  private static final float[] X = {1, 0};
  private static final float[] Y = {0, 1};
  private static final Set<Long> ALL = Set.of(1L, 2L, 3L, 4L);

  private static Suggester taught(Optional<Meaning> meaning) {
    Suggester suggester = new Suggester(meaning);
    suggester.know(1, "Fuel hours", "The fuel dock is open from seven to six.");
    suggester.know(2, "Pump-out", "The pump-out works; tokens at the office.");
    suggester.know(3, "Winter quote", "A quote for storage comes by mail.");
    suggester.know(4, "Lift slots", "We lift on Tuesdays. Which morning suits you?");
    suggester.learn(new Lesson(10, 1, "when does the fuel dock close"));
    suggester.learn(new Lesson(11, 1, "fuel dock hours on sunday please"));
    suggester.learn(new Lesson(12, 2, "is the pump out working again"));
    suggester.learn(new Lesson(13, 3, "how much is winter storage for my boat"));
    suggester.learn(new Lesson(14, 4, "can you lift my boat on friday"));
    return suggester;
  }

  private static List<Long> templates(List<Suggestion> suggestions) {
    return suggestions.stream().map(Suggestion::template).toList();
  }

  @ParameterizedTest
  @CsvSource({
    "When does the feul dock close?, 1",
    "pumpout working?, 2",
    "how much is storage this winter, 3",
    "can you lift our boat on monday, 4",
  })
  void theNearestQuestionDecidesAlsoMisspelled(String asked, long template) {
    List<Suggestion> found = taught(Optional.empty()).suggest(asked, ALL, answer -> true);
    assertThat(templates(found)).startsWith(template);
    assertThat(found).hasSizeLessThanOrEqualTo(Suggester.MOST);
    assertThat(found.stream().mapToDouble(Suggestion::likelihood).sum()).isLessThanOrEqualTo(1);
  }

  @Test
  void nothingIsConcludedFromAnswersThatMayNotBeTold() {
    Suggester suggester = taught(Optional.empty());
    suggester.learn(new Lesson(20, 4, "zzyzx quorum at dawn"));
    String asked = "zzyzx quorum at dawn?";
    assertThat(templates(suggester.suggest(asked, ALL, answer -> true))).startsWith(4L);
    assertThat(suggester.suggest(asked, ALL, answer -> answer != 20)).isEmpty();
    assertThat(templates(suggester.suggest(asked, Set.of(1L, 2L), answer -> true)))
        .doesNotContain(4L);
  }

  @Test
  void nothingIsSuggestedForEverydayTalkOrNothing() {
    Suggester suggester = taught(Optional.empty());
    for (String asked : List.of("", " ", "Happy birthday, dear Tobias!", "🙏", "see you then")) {
      assertThat(suggester.suggest(asked, ALL, answer -> true)).as(asked).isEmpty();
    }
    assertThat(suggester.suggest("fuel dock hours", Set.of(), answer -> true)).isEmpty();
  }

  @Test
  void itSaysHowManySimilarQuestionsWereAnswered() {
    Suggestion first =
        taught(Optional.empty()).suggest("fuel dock hours please", ALL, answer -> true).get(0);
    assertThat(first.why()).isEqualTo("used for 2 similar questions");
    assertThat(new Suggestion(1, 1, 1).why()).isEqualTo("used for a similar question");
    assertThat(new Suggestion(1, 1, 0).why()).isEqualTo("its words fit");
  }

  @Test
  void whatMeansTheSameIsFoundThoughNoLetterIsShared() {
    Map<String, float[]> known =
        Map.of(
            "diesel till?", new float[] {9, 1, 0},
            "when does the fuel dock close", new float[] {9, 0, 1},
            "fuel dock hours on sunday please", new float[] {8, 0, 0});
    Meaning meaning = words -> known.getOrDefault(words, new float[] {0, words.length() % 7, 5});
    assertThat(templates(taught(Optional.of(meaning)).suggest("diesel till?", ALL, one -> true)))
        .startsWith(1L);
  }

  /** Every text lies apart from these; these are wordings of one common ask. */
  private static final Map<String, float[]> ONE_ASK =
      Map.of(
          "where are you located", new float[] {9, 0, 0},
          "what is your address", new float[] {0, 9, 0},
          "led me to a barn", new float[] {9, 0, 0},
          "Way", new float[] {0, 9, 0},
          "Left at the mill.", new float[] {0, 9, 0},
          "Way. Left at the mill.", new float[] {0, 9, 0},
          "over the bridge, then right", new float[] {0, 9, 0});

  private static final Meaning BY_ASK = words -> ONE_ASK.getOrDefault(words, new float[] {0, 0, 9});

  /** The model knows English only; what it makes of another language is not believed. */
  @ParameterizedTest
  @CsvSource({
    "'¿a qué hora cierra el muelle de combustible?', 1",
    "wann schließt das Tankdock am Sonntag, 1",
    "¿pueden sacar mi barco el viernes?, 4",
  })
  void inAnotherLanguageLettersDecideAlone(String asked, long template) {
    Meaning misled = words -> words.contains("Winter") || !words.contains(" the ") ? X : Y;
    Suggester suggester = taught(Optional.of(misled));
    suggester.learn(new Lesson(30, 1, "a qué hora cierra el muelle de combustible"));
    suggester.learn(new Lesson(31, 1, "wann schließt das Tankdock heute"));
    suggester.learn(new Lesson(32, 4, "pueden sacar mi barco el lunes"));
    assertThat(templates(suggester.suggest(asked, ALL, answer -> true))).startsWith(template);
    assertThat(suggester.compare(asked, answer -> true).isByMeaning()).isFalse();
    assertThat(suggester.compare("when does the dock close", answer -> true).isByMeaning())
        .isTrue();
  }

  @Test
  void aTemplateIsAboutWhatItsWordsAndTheQuestionsOneMayTellAreNearTo() {
    Suggester suggester = taught(Optional.of(BY_ASK));
    suggester.know(5, "Way", "Left at the mill.");
    Compared compared = suggester.compare("led me to a barn", answer -> true);
    int about = compared.of(5).length - 3;
    int near = about + 1;
    assertThat(compared.of(5)[near]).isPositive();
    assertThat(compared.of(5)[about]).isGreaterThan(0.4);
    assertThat(compared.of(2)[about]).isLessThan(0.2);
    suggester.learn(new Lesson(30, 6, "over the bridge, then right"));
    assertThat(suggester.compare("led me to a barn", answer -> true).of(6)[about])
        .isGreaterThan(0.4);
    assertThat(suggester.compare("led me to a barn", answer -> false).of(6)[about]).isZero();
    assertThat(suggester.compare("led me to a barn", answer -> false).of(6)[near]).isZero();
  }

  /** Half of what is known of template 6 lies in each of two directions; of 5, all in one. */
  @Test
  void aTemplateLiesWhereAllThatMayBeToldOfItLiesInTheMean() {
    Map<String, float[]> at =
        Map.of(
            "one way", new float[] {9, 0, 0},
            "the same way", new float[] {9, 0, 0},
            "quite another way", new float[] {0, 9, 0},
            "asked", new float[] {9, 0, 0});
    Meaning meaning = words -> at.getOrDefault(words, new float[] {0, 0, 9});
    Suggester suggester = new Suggester(Optional.of(meaning));
    suggester.learn(new Lesson(30, 5, "one way"));
    suggester.learn(new Lesson(31, 5, "the same way"));
    suggester.learn(new Lesson(32, 6, "one way"));
    suggester.learn(new Lesson(33, 6, "quite another way"));
    Compared all = suggester.compare("asked", answer -> true);
    int mean = all.of(5).length - 1;
    assertThat(all.of(5)[mean]).isGreaterThan(0.99);
    assertThat(all.of(6)[mean]).isBetween(0.3, 0.9);
    assertThat(suggester.compare("asked", answer -> answer != 33).of(6)[mean]).isGreaterThan(0.99);
    assertThat(suggester.compare("asked", answer -> answer < 32).of(6)[mean]).isZero();
  }

  /** What a template answers takes more words to ask for than small talk needs. */
  @Test
  void theLongerAQuestionTheLessProbablyNothingFits() {
    Suggester suggester = new Suggester(Optional.of(words -> X));
    suggester.learn(new Lesson(30, 5, "one way"));
    List<Double> none =
        Stream.of("hi", "hi, don't go", "hi, don't go there by the same way as before")
            .map(asked -> Scores.MEANING.none(suggester.compare(asked, answer -> true).none()))
            .toList();
    assertThat(none).isSortedAccordingTo(Comparator.reverseOrder()).doesNotHaveDuplicates();
  }
}
