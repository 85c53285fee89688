package fabulum.core.sentence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.core.Rounds;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class SentenceTest {
  private static final long ME = 7;
  private static final LocalDate DAY = LocalDate.of(2026, 6, 9);

  private static OptionalLong perhaps(Random random) {
    return random.nextBoolean() ? OptionalLong.empty() : OptionalLong.of(1 + random.nextInt(900));
  }

  private static String words(Random random) {
    String letters = "ab ;\\\"'..:,é漢-1";
    StringBuilder words = new StringBuilder();
    for (int i = random.nextInt(9); i > 0; i--) {
      words.append(letters.charAt(random.nextInt(letters.length())));
    }
    return words.toString();
  }

  private static Optional<Left> left(Random random) {
    Duration from = Duration.ofMinutes(random.nextInt(2_000) - 1_000);
    Duration to = from.plusMinutes(1 + random.nextInt(500));
    return switch (random.nextInt(4)) {
      case 0 -> Optional.empty();
      case 1 -> Optional.of(new Left(Optional.of(from), Optional.empty()));
      case 2 -> Optional.of(new Left(Optional.empty(), Optional.of(to)));
      default -> Optional.of(new Left(Optional.of(from), Optional.of(to)));
    };
  }

  private static Optional<Days> days(Random random) {
    LocalDate from = DAY.minusDays(random.nextInt(900));
    return switch (random.nextInt(4)) {
      case 0 -> Optional.empty();
      case 1 -> Optional.of(Days.last(1 + random.nextInt(400)));
      case 2 -> Optional.of(new Days(Optional.empty(), Optional.of(from), Optional.empty()));
      default ->
          Optional.of(
              new Days(
                  Optional.empty(),
                  Optional.of(from),
                  Optional.of(from.plusDays(random.nextInt(9)))));
    };
  }

  private static Whose whose(Random random) {
    return switch (Whose.Kind.values()[random.nextInt(5)]) {
      case EVERYONE -> Whose.EVERYONE;
      case MINE -> Whose.MINE;
      case NOBODY -> Whose.NOBODY;
      case TEAM -> Whose.team(1 + random.nextInt(9));
      case COLLEAGUE -> Whose.colleague(1 + random.nextInt(9));
    };
  }

  static Sentence sentence(Random random) {
    return new Sentence(
        whose(random),
        perhaps(random),
        perhaps(random),
        perhaps(random),
        words(random),
        words(random),
        random.nextBoolean(),
        random.nextBoolean(),
        random.nextBoolean(),
        left(random),
        days(random));
  }

  static Stream<Arguments> typed() throws IOException {
    try (InputStream in = SentenceTest.class.getResourceAsStream("/sentences-typed.txt")) {
      String table = new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8);
      return table
          .lines()
          .filter(line -> !line.isEmpty() && !line.startsWith("#"))
          .map(line -> line.split(" ⇒ ", 2))
          .map(Arguments::of);
    }
  }

  @ParameterizedTest
  @MethodSource("typed")
  void whatIsTypedIsReadAsTheOneTableSays(String typed, String meant) {
    if (meant.startsWith("!")) {
      assertThatThrownBy(() -> SentenceText.read(typed))
          .isInstanceOf(IllegalArgumentException.class);
    } else {
      assertThat(SentenceText.write(SentenceText.read(typed))).isEqualTo(meant);
    }
  }

  @Test
  void aSentenceReadBackIsTheSameSentence() {
    Random random = new Random(31);
    for (int i = 0; i < Rounds.of(20_000); i++) {
      Sentence sentence = sentence(random);
      String text = SentenceText.write(sentence);
      assertThat(SentenceText.read(text)).as(text).isEqualTo(sentence);
    }
  }

  /** The page reads and writes the same texts; both are held to this table. */
  @Test
  void everyTextOfTheTableIsReadAndWrittenUnchanged() throws IOException {
    try (var table = getClass().getResourceAsStream("/sentences.txt")) {
      String texts = new String(table.readAllBytes(), StandardCharsets.UTF_8);
      assertThat(texts.lines().filter(text -> !text.startsWith("#")))
          .hasSizeGreaterThan(15)
          .allSatisfy(
              text -> assertThat(SentenceText.write(SentenceText.read(text))).isEqualTo(text));
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "theirs",
        "line",
        "line x",
        "line 0",
        "line 1; line 2",
        "mine; team 3",
        "mine too",
        "left 3",
        "left ..",
        "left 5..5",
        "left 1e9..",
        "left 0..9999999",
        "saying",
        "called",
        "from yesterday",
        "from 2026-06-09; to 2026-06-08",
        "last 7; from 2026-06-01",
        "last 0",
        "not yet",
        "to 2026-02-30"
      })
  void nonsenseIsNamed(String text) {
    assertThatThrownBy(() -> SentenceText.read(text)).isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void theUnreadablePartIsShown() {
    assertThatThrownBy(() -> SentenceText.read("mine; lime 3"))
        .hasMessage("This part of the sentence cannot be read: “lime 3”.");
  }

  private static Facts facts(OptionalLong owner, OptionalLong startedBy) {
    return new Facts(1, 2, 3, owner, startedBy, Set.of(4L, 5L), false, false);
  }

  @Test
  void mineIsWhatIOwnAndWhatIStartedThatNobodyOwns() {
    Sentence mine = SentenceText.read("mine");
    OptionalLong nobody = OptionalLong.empty();
    OptionalLong me = OptionalLong.of(ME);
    OptionalLong other = OptionalLong.of(8);

    assertThat(mine.agreesWith(facts(me, nobody), ME)).isTrue();
    assertThat(mine.agreesWith(facts(nobody, me), ME)).isTrue();
    assertThat(mine.agreesWith(facts(other, me), ME)).isFalse();
    assertThat(mine.agreesWith(facts(nobody, nobody), ME)).isFalse();
  }

  @Test
  void everyPartNarrowsTheChoice() {
    Facts facts = facts(OptionalLong.empty(), OptionalLong.empty());
    for (String agreed : new String[] {"", "nobody's", "line 1", "site 2", "team 3", "topic 5"}) {
      assertThat(SentenceText.read(agreed).agreesWith(facts, ME)).as(agreed).isTrue();
    }
    for (String not :
        new String[] {
          "line 2", "site 1", "team 1", "topic 6", "to identify", "not delivered", "colleague 7"
        }) {
      assertThat(SentenceText.read(not).agreesWith(facts, ME)).as(not).isFalse();
    }
  }

  @Test
  void spansOfTimeLeftAndOfDaysHoldTheirFirstAndNotTheirEndOfTime() {
    assertThat(Left.LATE.holds(Duration.ofSeconds(-1))).isTrue();
    assertThat(Left.LATE.holds(Duration.ZERO)).isFalse();
    assertThat(Days.last(1).hold(DAY, DAY)).isTrue();
    assertThat(Days.last(1).hold(DAY.minusDays(1), DAY)).isFalse();
    Days fixed = SentenceText.read("from 2026-06-08; to 2026-06-09").days().orElseThrow();
    assertThat(fixed.hold(DAY, DAY.plusDays(300))).isTrue();
    assertThat(fixed.hold(DAY.plusDays(1), DAY)).isFalse();
  }

  @Test
  void wordsThatAreSoughtHaveAtMostEightyCharacters() {
    String most = "w".repeat(80);
    Sentence all = Sentence.EVERYTHING;
    assertThat(saying(all, most, most).ofCustomers(most, all.list(), all.detail()).kind())
        .isEqualTo(most);
    assertThatThrownBy(() -> saying(all, most + "w", "")).hasMessageContaining("80 characters");
    assertThatThrownBy(() -> saying(all, "", most + "w")).hasMessageContaining("80 characters");
    assertThatThrownBy(() -> all.ofCustomers(most + "w", all.list(), all.detail()))
        .hasMessageContaining("80 characters");
  }

  private static Sentence saying(Sentence rest, String called, String saying) {
    return new Sentence(
        rest.whose(),
        rest.line(),
        rest.site(),
        rest.topic(),
        called,
        saying,
        rest.toIdentify(),
        rest.failed(),
        rest.unread(),
        rest.left(),
        rest.days());
  }

  @Test
  void theFactsAloneDecideWhereNothingElseIsAsked() {
    Sentence all = Sentence.EVERYTHING;
    assertThat(all.about(3).asksForFactsOnly()).isTrue();
    assertThat(all.about(3).topic()).hasValue(3);
    assertThat(all.about(3).asksForCustomer()).isFalse();
    assertThat(saying(all, "ada", "").asksForFactsOnly()).isFalse();
    assertThat(saying(all, "", "lift").asksForFactsOnly()).isFalse();
    for (String more : new String[] {"unread", "left ..0", "last 7"}) {
      Sentence asks = SentenceText.read(more);
      assertThat(asks).as(more).isNotEqualTo(all);
      assertThat(asks.asksForFactsOnly()).as(more).isFalse();
      assertThat(asks.asksForCustomer()).as(more).isFalse();
    }
    Sentence kind = all.ofCustomers("firm", OptionalLong.empty(), Optional.empty());
    Sentence list = all.ofCustomers("", OptionalLong.of(2), Optional.empty());
    for (Sentence asks : new Sentence[] {kind, list}) {
      assertThat(asks.asksForCustomer()).isTrue();
      assertThat(asks.asksForFactsOnly()).isFalse();
    }
  }

  private static Duration minutes(long minutes) {
    return Duration.ofMinutes(minutes);
  }

  @Test
  void aSpanOfTimeLeftHoldsItsBeginningAndNotItsEnd() {
    Left span = new Left(Optional.of(minutes(-5)), Optional.of(minutes(30)));
    assertThat(span.holds(minutes(-5))).isTrue();
    assertThat(span.holds(minutes(-5).minusMillis(1))).isFalse();
    assertThat(span.holds(minutes(30).minusMillis(1))).isTrue();
    assertThat(span.holds(minutes(30))).isFalse();
    assertThat(Left.LATE.holds(minutes(-900_000))).isTrue();
    assertThat(Left.LATE.holds(Duration.ZERO)).isFalse();
  }

  @Test
  void timeLeftIsSaidInWholeMinutesUpToAYear() {
    Duration year = Duration.ofDays(366);
    assertThat(new Left(Optional.of(year.negated()), Optional.of(year)).from()).isPresent();
    assertThatThrownBy(() -> new Left(Optional.empty(), Optional.of(year.plusMinutes(1))))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Left(Optional.of(Duration.ofSeconds(61)), Optional.empty()))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Left(Optional.of(minutes(5)), Optional.of(minutes(5))))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
