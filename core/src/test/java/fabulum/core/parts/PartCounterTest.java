package fabulum.core.parts;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.Rounds;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class PartCounterTest {
  private static final long SEED = 20260609L;
  private static final String BOAT = "⛵";
  private static final String SMILE = "🙂";

  static Stream<Arguments> cases() {
    return Stream.of(
        // words, encoding, parts, units, units left in the last part
        Arguments.of("", Encoding.BASIC, 0, 0, 160),
        Arguments.of("Lift at 9?", Encoding.BASIC, 1, 10, 150),
        Arguments.of("a".repeat(160), Encoding.BASIC, 1, 160, 0),
        Arguments.of("a".repeat(161), Encoding.BASIC, 2, 161, 145),
        Arguments.of("a".repeat(306), Encoding.BASIC, 2, 306, 0),
        Arguments.of("a".repeat(307), Encoding.BASIC, 3, 307, 152),
        Arguments.of("[12 €]", Encoding.BASIC, 1, 9, 151),
        Arguments.of("^{}\\[~]|€\f", Encoding.BASIC, 1, 20, 140),
        Arguments.of("€".repeat(80), Encoding.BASIC, 1, 160, 0),
        // 153 is odd: the 77th sign would straddle the seam and moves over whole
        Arguments.of("€".repeat(81), Encoding.BASIC, 2, 162, 143),
        Arguments.of("a".repeat(152) + "€" + "a".repeat(10), Encoding.BASIC, 2, 164, 141),
        Arguments.of("àèéùìòÇØøÅåÆæßÉÄÖÑÜ§¿äöñüΔΩ@£$¥¤¡\r\n", Encoding.BASIC, 1, 35, 125),
        Arguments.of("ç", Encoding.UCS2, 1, 1, 69),
        Arguments.of("`", Encoding.UCS2, 1, 1, 69),
        Arguments.of("б".repeat(70), Encoding.UCS2, 1, 70, 0),
        Arguments.of("б".repeat(71), Encoding.UCS2, 2, 71, 63),
        Arguments.of("б".repeat(134), Encoding.UCS2, 2, 134, 0),
        Arguments.of(SMILE.repeat(35), Encoding.UCS2, 1, 70, 0),
        // 67 is odd: the 34th pair is not torn apart
        Arguments.of(SMILE.repeat(36), Encoding.UCS2, 2, 72, 61),
        Arguments.of("\ud83d", Encoding.UCS2, 1, 1, 69));
  }

  @ParameterizedTest
  @MethodSource("cases")
  void countsAsTheNetworkBills(String words, Encoding encoding, int parts, int units, int left) {
    PartCount count = PartCounter.count(words);

    assertThat(count.encoding()).isEqualTo(encoding);
    assertThat(count.count()).isEqualTo(parts);
    assertThat(count.units()).isEqualTo(units);
    assertThat(count.unitsLeft()).isEqualTo(left);
  }

  @Test
  void namesEachCharacterThatForcesTheDearerEncodingOnce() {
    assertThat(PartCounter.count("It’s the “Heron” — it’s late " + SMILE).forcing())
        .containsExactly("’", "“", "”", "—", SMILE);
  }

  @Test
  void offersThePlainWordingWithWhatItSaves() {
    String words = "It’s ready… " + "x".repeat(70);

    PartCount.PlainOffer offer = PartCounter.count(words).plain().orElseThrow();

    assertThat(offer.text()).startsWith("It's ready... ");
    assertThat(offer.parts()).isEqualTo(1);
    assertThat(offer.saved()).isEqualTo(1);
  }

  @Test
  void offersThePlainWordingForMoreRoomEvenWhenItSavesNoPart() {
    assertThat(PartCounter.count("It’s in.").plain())
        .contains(new PartCount.PlainOffer("It's in.", 1, 0, 152));
  }

  @Test
  void offersNothingThatWouldNotHelp() {
    assertThat(PartCounter.count("Plain already").plain()).isEmpty();
    assertThat(PartCounter.count("See you " + BOAT).plain()).isEmpty();
    assertThat(PartCounter.count("It’s in " + BOAT).plain()).as("still dear").isEmpty();
    assertThat(PartCounter.count("…".repeat(70)).plain()).as("three dots each cost more").isEmpty();
  }

  @Test
  void theLawsHoldForAnyText() {
    Random random = new Random(SEED);
    for (int i = 0; i < Rounds.of(10_000); i++) {
      String words = anyText(random);
      PartCount count = PartCounter.count(words);
      int limit = count.count() > 1 ? count.encoding().joined() : count.encoding().single();

      assertThat(String.join("", count.parts())).as("seed %s, text %s", SEED, i).isEqualTo(words);
      for (String part : count.parts()) {
        PartCount alone = PartCounter.count(part);
        int units = count.encoding() == Encoding.UCS2 ? part.length() : alone.units();
        assertThat(units).isLessThanOrEqualTo(limit);
        assertThat(Character.isLowSurrogate(part.charAt(0))).as("a torn pair").isFalse();
      }
      count
          .plain()
          .ifPresent(offer -> {
            assertThat(offer.parts()).isLessThanOrEqualTo(count.count());
            assertThat(PartCounter.count(offer.text()).count()).isEqualTo(offer.parts());
          });
    }
  }

  private static String anyText(Random random) {
    List<String> pool =
        List.of(
            "a", "B", " ", "9", "€", "[", "’", "…", "–", "é", "ç", "б", SMILE, BOAT, "\u00a0",
            "\n");
    int kinds = 1 + random.nextInt(pool.size());
    int length = random.nextInt(400);
    StringBuilder words = new StringBuilder();
    for (int i = 0; i < length; i++) {
      words.append(pool.get(random.nextInt(kinds)));
    }
    return words.toString();
  }
}
