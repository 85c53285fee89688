package fabulum.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.search.WordQuery.Hit;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WordQueryTest {
  /** Forms differ in an s, which is enough to tell forms from words as they are written. */
  private static final Stemmer PLURALS =
      (one, other) -> one.replaceAll("s$", "").equals(other.replaceAll("s$", ""));

  private static boolean fits(String typed, boolean any, String text) {
    return WordQuery.read(typed, any).fits(Terms.of(text), PLURALS);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "lift slot|A slot on the LIFT|true",
        "lift slot|the lift only|false",
        "lifts|the lift|true",
        "\"lifts\"|the lift|false",
        "\"bilge pump\"|the bilge pump runs|true",
        "\"bilge pump\"|pump out the bilge|false",
        "“bilge pump”|the Bilge  pump|true",
        "lift-out|a lift out|true",
        "lift-out|out of the lift|false",
        "lift -storm|the lift in the storm|false",
        "lift -storm|the lift|true",
        "lift -\"next week\"|lift next month, not this week|true",
        "lift -\"next week\"|lift next week|false",
        "-storm|a quiet day|true",
        "-storm|a storm|false",
        "dav*|the davits|true",
        "dav*|a pair of shoes|false",
        "davit*|dav|false",
        "612-555-0142|call 6125550142|true",
        "(612) 555 0142|call +1 612.555.0142|true",
        "+1 612 555 0142|call 555-0142|false",
        "555-0142|call +1 612 555 0142|true",
        "5550142|call 612-555-0142|true",
        "0142|call 612-555-0142|true",
        "1250|it costs $1,250.00|true",
        "1,250|it costs 1250|true",
        "1,250|it costs 1 or 250|false",
        "-612-555-0142|call 612 555 0142|false",
        "👍|fine 👍🏾|true",
        "senor|Señor|true",
        "Señor|senor|true",
        "don't|dont worry|true",
        "*|anything|true",
        "lift*out|the lift out there|true"
      })
  void allOfThemMustBeThere(String typed, String text, boolean fits) {
    assertThat(fits(typed, false, text)).isEqualTo(fits);
  }

  @ParameterizedTest
  @CsvSource({
    "lift crane, the crane, true",
    "lift crane, the boat, false",
    "lift crane -storm, a crane in a storm, false",
    "-storm, anything, true"
  })
  void oneOfThemIsEnough(String typed, String text, boolean fits) {
    assertThat(fits(typed, true, text)).isEqualTo(fits);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "lift|the [lift] and the [lifts]",
        "\"bilge pump\" pump|the [bilge pump] and a [pump]",
        "lift pump|a [lift] for the [pump]",
        "6125550142|call [612 555-0142] now",
        "dav*|[davits] and [David]",
        "👍|ok [👍🏽]",
        "any -storm|[any] day"
      })
  void hitsAreWhatIsLookedFor(String typed, String marked) {
    String text = marked.replaceAll("[\\[\\]]", "");
    StringBuilder shown = new StringBuilder();
    int at = 0;
    for (Hit hit : WordQuery.read(typed, false).hits(Terms.of(text), PLURALS)) {
      shown.append(text, at, hit.from()).append('[').append(text, hit.from(), hit.to()).append(']');
      at = hit.to();
    }
    assertThat(shown.append(text.substring(at))).hasToString(marked);
  }

  @Test
  void whatCannotBeUnderstoodIsHintedAt() {
    assertThat(WordQuery.read("lift \"bilge pump", false).hints())
        .singleElement()
        .asString()
        .contains("has no end");
    assertThat(fits("\"bilge pump", false, "the bilge pump")).isTrue();
    assertThat(WordQuery.read("*", false).hints()).singleElement().asString().contains("star");
    assertThat(WordQuery.read("-storm", false).hints())
        .singleElement()
        .asString()
        .contains("minus");
    assertThat(WordQuery.read("lift -storm", false).hints()).isEmpty();
    assertThat(WordQuery.read("", false).isEmpty()).isTrue();
    assertThat(WordQuery.read("- \" \" \"\" --", false).isEmpty()).isTrue();
  }

  @Test
  void onlySoManyWordsAreLookedFor() {
    String typed =
        List.of(1, 2, 3, 4).stream().map(i -> "word ".repeat(10)).collect(Collectors.joining());
    WordQuery query = WordQuery.read(typed, false);
    assertThat(query.sought()).hasSize(WordQuery.MOST);
    assertThat(query.hints()).hasSize(1);
  }
}
