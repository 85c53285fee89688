package fabulum.core.suggest;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.OptionalLong;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RecognizerTest {
  private static final String FUEL = "The fuel dock is open from seven to six every day.";
  private static final String GATE = "The gate code is on your berth card, at the lower left.";

  @Test
  void anAnswerIsOfTheTemplateItIsCloseToAlsoWhenItWasChanged() {
    Recognizer recognizer = new Recognizer();
    recognizer.know(7, FUEL);
    recognizer.know(8, GATE);
    assertThat(recognizer.find(FUEL)).hasValue(7);
    assertThat(recognizer.find(GATE)).hasValue(8);
    assertThat(recognizer.find("Hi Ada, the fuel dock is open from seven to six, every day!"))
        .hasValue(7);
    assertThat(recognizer.find("Yes, tomorrow at nine is fine for us.")).isEmpty();
    assertThat(recognizer.find("")).isEmpty();
  }

  @Test
  void ofTwoThatAreCloseTheCloserOneIsMeant() {
    Recognizer recognizer = new Recognizer();
    recognizer.know(1, "The fuel dock is open from seven to six every weekday.");
    recognizer.know(2, FUEL);
    recognizer.know(3, "The fuel dock is open from seven to six, but not in winter.");
    assertThat(recognizer.find(FUEL)).hasValue(2);
    assertThat(new Recognizer().find(FUEL)).isEqualTo(OptionalLong.empty());
  }

  @Test
  void aTypedAnswerIsRecognizedWhenItIsCloseToATemplate() {
    Recognizer recognizer = new Recognizer();
    recognizer.know(1, "The fuel dock is open from seven to six, every day.");
    recognizer.know(2, "The pump-out works; tokens at the harbour office.");
    assertThat(recognizer.find("the fuel dock's open from seven to six every day!")).hasValue(1);
    assertThat(recognizer.find("The pump-out works, tokens are at the office")).hasValue(2);
    assertThat(recognizer.find("The office is open.")).isEmpty();
    assertThat(recognizer.find("")).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "can we come, true",
    "when, false",
    "when then, false",
    "when do you open, true",
    "'open?', true",
    "'?', true",
    "'¿abierto', true",
    "'we can come then', false",
    "'', false"
  })
  void aQuestionHasItsMarkOrBeginsAsOne(String words, boolean asks) {
    assertThat(Asking.asks(words)).isEqualTo(asks);
  }

  @Test
  void whatGrowsIsComputedAnewEachTimeItGrewByTheFactor() {
    assertThat(IntStream.rangeClosed(1, 40).filter(size -> Growth.isDue(size, 2)))
        .containsExactly(1, 2, 4, 8, 16, 32);
  }
}
