package fabulum.core.template;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.template.TemplateReader.Bad;
import fabulum.core.template.TemplateReader.Fault;
import fabulum.core.template.TemplateReader.Good;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TemplateTextTest {
  private static final List<String> OF_CUSTOMERS =
      List.of("first name", "name", "Boat", "2nd boat");
  private static final Known KNOWN =
      (whose, name) ->
          switch (whose) {
            case CUSTOMER ->
                OF_CUSTOMERS.stream().filter(one -> one.equalsIgnoreCase(name)).findFirst();
            case HOURS -> name.equals("today") ? Optional.of("today") : Optional.empty();
            default -> name.equals("name") ? Optional.of("name") : Optional.empty();
          };
  private static final TemplateReader READER = new TemplateReader(KNOWN);

  private static TemplateText template(String written) {
    return ((Good) READER.read(written)).text();
  }

  private static List<Fault> faults(String written) {
    return ((Bad) READER.read(written)).faults();
  }

  private static Values values(Map<String, String> known) {
    return (whose, name) -> Optional.ofNullable(known.get(whose.word() + " " + name));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "Hi {customer: first name}!; Hi Ada!",
        "Hi {FIRST NAME}!; Hi Ada!",
        "Hi { first name | there }!; Hi Ada!",
        "{customer: boat|your boat} is up; your boat is up",
        "{boat} is up; {Boat} is up",
        "{2nd boat} is up; {customer: 2nd boat} is up",
        "{hours: today}, {line: name}; {today}, Dock",
        "plain; plain"
      })
  void aValueElseTheFallbackElseAGap(String written, String words) {
    Map<String, String> known =
        Map.of("customer first name", "Ada", "customer Boat", "  ", "line name", "Dock");
    assertThat(template(written).fill(values(known)).words()).isEqualTo(words);
  }

  @Test
  void whereValuesAndGapsStandIsKnown() {
    Filled filled =
        template("Dear {name}, {boat} and {staff: name | we}.")
            .fill(values(Map.of("customer name", "Ada Marsh")));
    assertThat(filled.words()).isEqualTo("Dear Ada Marsh, {Boat} and we.");
    assertThat(filled.isWhole()).isFalse();
    assertThat(filled.gaps())
        .singleElement()
        .satisfies(
            gap -> assertThat(filled.words().substring(gap.from(), gap.to())).isEqualTo("{Boat}"));
    assertThat(filled.values())
        .extracting(value -> filled.words().substring(value.from(), value.to()))
        .containsExactly("Ada Marsh", "we");
  }

  @Test
  void allThatIsWrongIsSaidWithItsPlace() {
    assertThat(faults("a } b {nickname} {boat|x|y} {template: a} {line"))
        .extracting(Fault::at)
        .containsExactly(2, 6, 17, 28, 42);
    assertThat(faults("{nickname}"))
        .extracting(Fault::why)
        .containsExactly("There is no placeholder “{nickname}”.");
    assertThat(faults("{boat {name}")).extracting(Fault::at).containsExactly(0);
    assertThat(faults(" ")).extracting(Fault::why).containsExactly("Write something first.");
    assertThat(faults("{boat|" + "x".repeat(161) + "}")).hasSize(1);
    assertThat(READER.read("{boat|" + "x".repeat(160) + "}")).isInstanceOf(Good.class);
  }

  /**
   * Whatever stands on file or is typed as words, only gaps have braces, and only they are gaps.
   */
  @Test
  void nothingThatACustomerSaysIsAPlaceholder() {
    Random random = new Random(14);
    String[] bits = {"{name}", "{", "}", "|", "Ada", " ", "{customer: Boat}", "Ω", "\n", ":", "{}"};
    List<String> pieces =
        List.of(
            "Hi ", "{customer: name}", "{customer: Boat | it}", "{hours: today}", ", so ", "\n");
    for (int round = 0; round < 5_000; round++) {
      StringBuilder written = new StringBuilder("x");
      for (int i = random.nextInt(5); i >= 0; i--) {
        written.append(pieces.get(random.nextInt(pieces.size())));
      }
      StringBuilder value = new StringBuilder();
      for (int i = random.nextInt(5); i > 0; i--) {
        value.append(bits[random.nextInt(bits.length)]);
      }
      TemplateText text = template(written.toString());
      assertThat(text.written()).isEqualTo(written.toString());
      Map<String, String> known =
          Map.of("customer name", value.toString(), "customer Boat", value + "!");
      Filled filled = text.fill(values(known));
      StringBuilder rest = new StringBuilder(filled.words());
      for (int i = filled.gaps().size() - 1; i >= 0; i--) {
        Filled.Span gap = filled.gaps().get(i);
        assertThat(rest.substring(gap.from(), gap.to())).isEqualTo(gap.of().gap());
        rest.delete(gap.from(), gap.to());
      }
      assertThat(rest.toString()).as("round %d", round).doesNotContain("{", "}");
      assertThat(Placeholder.firstGap(filled.words()).isPresent()).isEqualTo(!filled.isWhole());
    }
  }

  @ParameterizedTest
  @CsvSource({
    "lift-slot,true",
    "öl2,true",
    "a,false",
    "THE,false",
    "the,false",
    "two words,false",
    "-x,false",
    "x-,false",
    "aaaaaaaaaaaaaaaaaaaaaaaa,true",
    "aaaaaaaaaaaaaaaaaaaaaaaaa,false"
  })
  void aShortNameIsNoWordThatPeopleType(String word, boolean good) {
    assertThat(ShortName.problem(word).isEmpty()).isEqualTo(good);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      quoteCharacter = '`',
      value = {
        "\"Come at nine.\";Come at nine.",
        "“Come at nine.”;Come at nine.",
        " „Bis gleich“ ;Bis gleich",
        "« Oui. »;Oui.",
        "“Yes” or “no”;",
        "\"Yes\" or \"no\";",
        "Say “yes”;",
        "\"\";"
      })
  void marksAroundAWholeTextAreNoticed(String words, String within) {
    assertThat(Quoted.within(words).orElse(null)).isEqualTo(within);
  }
}
