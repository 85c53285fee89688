package fabulum.core.reading;

import static java.util.stream.Collectors.joining;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is read of texts whose writer is to be found. A bar stands between two texts. */
class ReadingTest {
  private static Reading read(String texts) {
    return Reading.of(List.of(texts.replace("¶", "\n").split("\\|")));
  }

  private static String introduced(Reading reading) {
    return reading.introductions().stream()
        .map(at -> reading.words().get(at).plain())
        .collect(joining(" "));
  }

  /** The words with which names begin by which writers introduce themselves. */
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "Hello, this is Annika; annika",
        "Hi it's annika; annika",
        "hi my name's stan; stan",
        "here's Stan; stan",
        "the boat's Stan; ''",
        "hola, soy Marta; marta",
        "Hi, Ich bin Uwe; uwe",
        "letter from Stan; ''",
        "regards from; ''",
        "is this it. Thursday please; ''",
        "Annika here, can we lift; annika",
        "oscar nwosu here; oscar",
        "please answer oscar here; ''",
        "Stan at Corn Belt, any slots; stan",
        "stan at corn belt; stan",
        "wexler at corn belt; ''",
        "Wexler at corn belt; wexler",
        "meet at seven; ''",
        "Meet at seven; ''",
        "Trawler of 46 ft; ''",
        "Wexler for the yard; wexler",
        "Wexler for 2 nights; ''",
        "Wexler Boats, at Corn Belt; wexler",
        "Lift it Wexler of Corn Belt; ''",
        "is the ramp open – Wexler; wexler",
        "is the ramp open¶Wexler; wexler",
        "is the ramp open – wexler; ''",
        "is the ramp open Wexler; ''",
        "Is the ramp open?|Wexler; wexler",
        "Is the ramp open?|Annika B.; annika",
        "Is the ramp open?|Annika B Wexler; annika",
        "Is the ramp open?|oscar b; oscar",
        "Is the ramp open?|wexler b; ''",
        "Is the ramp open?|Wexler May; wexler",
        "Is the ramp open?|Wexler may; ''",
        "Is the ramp open?|Thanks; ''",
        "Is the ramp open?|Mark; mark",
        "Is the ramp open?|Slip 14; ''",
        "Is the ramp open?|Wexler. When can you lift it; wexler",
        "Is the ramp open?|Wexler Oster Brandt Kuhn; ''",
        "Wexler; wexler",
        "14; ''",
        "''; ''"
      })
  void whoSaysTheirNameIsHeard(String texts, String names) {
    assertThat(introduced(read(texts))).isEqualTo(names);
  }

  @Test
  void aNameThatIsIntroducedHasThreeWordsAtMostAndEndsWithItsClause() {
    Reading reading = read("Hello, this is Annika Maria Wexler Brandt");
    assertThat(reading.isIntroduced(2)).isFalse();
    assertThat(reading.isIntroduced(3)).isTrue();
    assertThat(reading.isIntroduced(5)).isTrue();
    assertThat(reading.isIntroduced(6)).isFalse();
    assertThat(reading.isIntroduced(7)).as("behind the last word").isFalse();
    Reading shorter = read("Hello, this is Annika. Wexler asked me");
    assertThat(shorter.isIntroduced(3)).isTrue();
    assertThat(shorter.isIntroduced(4)).isFalse();
    assertThat(read("安娜").isIntroduced(0)).as("in another script").isTrue();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "this is oscar wexler; Oscar",
        "this is Annika Wexler; Annika Wexler",
        "this is Annika Wexler from slip 4; Annika Wexler",
        "this is Annika, Wexler is away; Annika",
        "this is Annika Maria Wexler Brandt; Annika Maria Wexler",
        "this is Wexler2; ''",
        "this is wexler; ''",
        "this is urgent, here is Wexler; Wexler",
        "no name at all; ''"
      })
  void theFirstNameThatIsIntroducedIsWrittenWithCapitals(String texts, String name) {
    assertThat(read(texts).introducedName()).isEqualTo(name);
  }

  @ParameterizedTest
  @CsvSource({
    "my husband Wexler called, 2, true",
    "my husband or so Wexler called, 4, true",
    "my husband we think Mr Wexler called, 5, false",
    "Wexler my own husband called, 0, true",
    "Wexler is not a husband, 0, false",
    "Wexler's boat, 0, true",
    "Wexler boat, 0, false",
    "Wife, 0, false",
    "mein boot Frau Wexler, 3, true"
  })
  void someoneElseIsMeantNearAWordOfKinshipOrByAPossessive(String text, int name, boolean related) {
    assertThat(read(text).isRelated(name, name + 1)).isEqualTo(related);
  }

  @Test
  void nothingBeyondTheTextIsRelated() {
    Reading reading = read("Wexler's boat");
    assertThat(reading.isRelated(0, 0)).isFalse();
    assertThat(reading.isRelated(2, 3)).isFalse();
  }

  @ParameterizedTest
  @CsvSource({
    "call wexler, 1, true",
    "call oster, 1, false",
    "call Oster, 1, true",
    "call Os, 1, false",
    "call annika, 1, false",
    "call oscar, 1, true",
    "call O, 1, false",
    "call Oster2, 1, false",
    "call may, 1, false",
    "call May, 1, true",
    "May it, 0, false",
    "call Friday, 1, false"
  })
  void aWordLooksLikeANameByItsCapitalOrByWhoIsOnFile(String text, int at, boolean like) {
    Map<String, Integer> onFile = Map.of("wexler", 2);
    Rarity rarity =
        new Rarity() {
          @Override
          public int named(String plain) {
            return onFile.getOrDefault(plain, 0);
          }

          @Override
          public int detailed(String plain) {
            return 0;
          }

          @Override
          public int speakingOf(String stem) {
            return 0;
          }

          @Override
          public int inArea(String area) {
            return 0;
          }
        };
    assertThat(read(text).isNameLike(at, rarity)).isEqualTo(like);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "Stan at Corn Belt Marine, any slots; 1; corn belt marine",
        "Stan at a b c d e f g; 1; a b c d e f",
        "Stan, at Corn Belt; 1; ''",
        "Stan near Corn Belt; 1; ''",
        "Stan at; 1; ''",
        "Stan at; 2; ''",
        "from Corn Belt; 0; corn belt"
      })
  void whereSomeoneBelongsFollowsTheirName(String text, int afterName, String place) {
    assertThat(read(text).belongsTo(afterName).stream().map(Word::plain).collect(joining(" ")))
        .isEqualTo(place);
  }

  @Test
  void windowsAreRunsOfUpToFiveWordsOfOneText() {
    Reading reading = read("Sea Otter|is in the way of us");
    assertThat(
            reading.windows().stream().filter(each -> each.from() < 2).map(Reading.Window::compact))
        .containsExactly("sea", "seaotter", "otter");
    assertThat(
            reading.windows().stream()
                .filter(each -> each.from() == 2)
                .map(Reading.Window::compact))
        .containsExactly("is", "isin", "isinthe", "isintheway", "isinthewayof");
    Reading.Window first = reading.windows().get(1);
    assertThat(first.to()).isEqualTo(2);
    assertThat(first.capital()).isTrue();
    assertThat(first.common()).isFalse();
    assertThat(reading.windows().stream().filter(each -> each.from() >= 2))
        .allMatch(each -> each.common() && !each.capital());
  }

  @Test
  void itsWordsAreFoundByTheirStems() {
    Reading reading = read("The engines of both|boats");
    assertThat(reading.stems()).containsExactlyInAnyOrder("engin", "boat");
    assertThat(reading.wordOf("engin")).isEqualTo("engines");
    assertThat(reading.wordOf("sail")).isEqualTo("sail");
    assertThat(reading.plain()).isEqualTo("the engines of both boats");
    assertThat(reading.written()).isEqualTo("The engines of both\nboats");
  }

  @ParameterizedTest
  @CsvSource({
    "engines, engin",
    "boats, boat",
    "bus, bus",
    "cats, cat",
    "gas, gas",
    "harness, harnes",
    "batteries, battery",
    "ties, tie",
    "painting, paint",
    "painted, paint",
    "painter, paint",
    "shorten, short",
    "ring, ring",
    "bring, bring",
    "wedding, wedd",
    "planned, plan",
    "stopped, stop",
    "hull, hull",
    "hulls, hull",
    "price, pric",
    "lake, lake",
    "lakes, lake",
    "v8s, v8s",
    "sea, sea",
    "see, see"
  })
  void endingsOfGrammarAreLeftOut(String word, String stem) {
    assertThat(Stems.stem(word)).isEqualTo(stem);
  }

  @Test
  void smallWordsAndShortOnesSayNothing() {
    List<Word> words = Wording.words("The ox at a2 with 7 of 12 keels");
    assertThat(Stems.of(words)).containsExactly("a2", "12", "keel");
    assertThat(Stems.weight("keel")).isEqualTo(1);
    assertThat(Stems.weight("morning")).isLessThan(1);
    assertThat(Stems.weight(Stems.stem("tires"))).isLessThan(1);
  }

  /** Each word with a C for a capital, F where a sentence begins, P for a possessive, X foreign. */
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "Sea Otter’s late. can we?; sea/CF otter/CP late/. can/F we/?",
        "The Wexlers' boat, mine; the/CF wexlers/CP boat/, mine/",
        "we'll go (now) - ok; we/F go/( now/)- ok/",
        "a\u00a0b \t c; a/F b/ c/",
        "José Łąk; jose/CF lak/C",
        "12b - 4; 12b/F- 4/",
        "O'Brien; obrien/CF",
        "박지훈입니다; park/CFX jihun/CX",
        "हरीश शर्मा; haris/CFX sarma/CX"
      })
  void wordsKeepHowTheyStand(String text, String words) {
    String seen =
        Wording.words(text).stream()
            .map(word ->
                word.plain()
                    + "/"
                    + (word.capital() ? "C" : "")
                    + (word.first() ? "F" : "")
                    + (word.possessive() ? "P" : "")
                    + (word.foreign() ? "X" : "")
                    + word.after())
            .collect(joining(" "));
    assertThat(seen).isEqualTo(words);
  }

  @Test
  void aClauseEndsWithAStopAStrokeOrALine() {
    for (String stop : new String[] {".", ",", ";", ":", "!", "?", " -", " –", " —", "\n"}) {
      assertThat(Wording.words("yes" + stop + " go").get(0).endsClause()).as(stop).isTrue();
    }
    assertThat(Wording.words("yes (go").get(0).endsClause()).isFalse();
    assertThat(Wording.words("123 12b").stream().map(Word::isNumber)).containsExactly(true, false);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "Wilhelmina de Groot; wilhelmina degroot; Wilhelmina; Groot",
        "Hyun-woo Park; hyunwoo park; Hyun-woo; Park",
        "Dr. Ada Marsh; dr ada marsh; Dr.; Marsh",
        "Ada Marsh, Jr.; ada marsh; Ada; Jr.",
        "De Groot; de groot; De; Groot",
        "Ada van; ada van; Ada; van",
        "Ada van der Meer; ada vandermeer; Ada; Meer",
        " Ada ; ada; Ada; Ada"
      })
  void aNameIsReadInItsParts(String written, String parts, String first, String last) {
    PersonName name = PersonName.of(written);
    assertThat(String.join(" ", name.parts())).isEqualTo(parts);
    assertThat(name.shown()).isEqualTo(written.strip());
    assertThat(name.shownFirst()).isEqualTo(first);
    assertThat(name.shownLast()).isEqualTo(last);
    List<String> split = Arrays.asList(parts.split(" "));
    assertThat(name.first()).isEqualTo(split.get(0));
    assertThat(name.last()).isEqualTo(split.get(split.size() - 1));
    assertThat(name.isSingle()).isEqualTo(split.size() == 1);
    assertThat(name.isEmpty()).isFalse();
  }

  @Test
  void ofSignsNoNameIsRead() {
    assertThat(PersonName.of("-- ??").isEmpty()).isTrue();
  }

  @Test
  void familiarFormsStandForOneName() {
    assertThat(Nicknames.areOneName("bob", "robert")).isTrue();
    assertThat(Nicknames.areOneName("bob", "liz")).isFalse();
    assertThat(Nicknames.areOneName("wexler", "wexler")).isFalse();
    assertThat(Nicknames.isListed("bob")).isTrue();
    assertThat(Nicknames.isListed("wexler")).isFalse();
    assertThat(Nicknames.isFrequent("bob")).isTrue();
    assertThat(Nicknames.isFrequent("wilhelmina")).isFalse();
    assertThat(CommonWords.isSmall("the")).isTrue();
    assertThat(CommonWords.isSmall("keel")).isFalse();
  }
}
