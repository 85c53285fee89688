package fabulum.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.core.conversation.Group;
import fabulum.demo.DemoData.Conversation;
import fabulum.demo.DemoData.Entry;
import fabulum.demo.Situation.Speaker;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class GeneratorTest {
  private static final Instant NOW = Instant.parse("2026-06-09T19:05:00Z");
  private static final DemoSettings WHOLE = new DemoSettings(1_500, 18);
  private final DemoData data = new Generator(1907, NOW, WHOLE).generate();

  @Test
  void theSameSeedAndMomentGiveTheSameData() {
    assertThat(new Generator(1907, NOW, WHOLE).generate()).isEqualTo(data);
  }

  @Test
  void itIsAsLargeAsTheBoatyardIs() {
    assertThat(data.customers()).hasSize(420);
    assertThat(data.numbers().size()).isBetween(550, 600);
    assertThat(data.conversations().size()).isGreaterThanOrEqualTo(1_500);
    assertThat(
            data.conversations().stream()
                .flatMap(c -> c.entries().stream())
                .filter(e -> e.speaker() == Speaker.CUSTOMER || e.speaker() == Speaker.STAFF))
        .hasSizeBetween(22_000, 27_000);
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 4, 7, 10})
  void aSmallOneIsOfTheSameKindInEverySeason(int month) {
    Instant now = LocalDate.of(2026, month, 12).atTime(14, 5).atZone(Quillhaven.ZONE).toInstant();
    DemoData small = new Generator(1907, now, new DemoSettings(60, 2)).generate();
    assertThat(small.customers()).hasSize(420);
    assertThat(small.conversations().size()).isBetween(80, 130);
    assertThat(small.conversations().stream().filter(c -> c.state().isOpen()).count())
        .isBetween(10L, 40L);
    assertThat(small.conversations().stream().flatMap(c -> c.entries().stream()).map(Entry::at))
        .allMatch(at -> at.isAfter(now.minus(Duration.ofDays(66))) && !at.isAfter(now));
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
  void inEveryMonthTheOpenOnesAreManyEnoughAndNoTwoSayTheSame(int month) {
    Instant now = LocalDate.of(2026, month, 12).atTime(14, 5).atZone(Quillhaven.ZONE).toInstant();
    DemoData then = new Generator(1907, now, WHOLE).generate();
    List<Conversation> open =
        then.conversations().stream().filter(c -> c.state().isOpen()).toList();
    assertThat(open).hasSizeBetween(40, 50);
    assertThat(open.stream().filter(c -> c.state().group() == Group.SET_ASIDE))
        .hasSizeBetween(3, 8);
    assertThat(open.stream().filter(c -> then.numbers().get(c.number()).holders().size() != 1))
        .hasSizeBetween(8, 12);
    assertThat(open.stream().map(c -> c.entries().get(c.entries().size() - 1).words()))
        .doesNotHaveDuplicates();
    if (month >= 5 && month <= 9) {
      assertThat(open.stream().flatMap(c -> c.entries().stream().skip(c.entries().size() - 1L)))
          .noneMatch(entry -> entry.words().matches("(?i).*\\b(ice|snow|frozen|frost)\\b.*"));
    }
  }

  @Test
  void everyTopicIsOneOfTheTeamThatHasTheLine() {
    for (Situation situation : SituationReader.read()) {
      String team =
          Quillhaven.LINES.stream()
              .filter(line -> line.line() == situation.line())
              .findFirst()
              .orElseThrow()
              .team();
      assertThat(
              situation.topic().isEmpty()
                  || Quillhaven.TOPICS.stream()
                      .anyMatch(topic ->
                          topic.team().equals(team) && topic.name().equals(situation.topic())))
          .as(situation.name())
          .isTrue();
    }
  }

  @Test
  void allNumbersAreFromTheReservedBlockAndDifferent() {
    assertThat(data.numbers())
        .allMatch(n -> !n.isPhone() || n.address().matches("\\+1\\d{3}55501\\d\\d"));
    assertThat(data.numbers().stream().map(DemoData.Number::address)).doesNotHaveDuplicates();
  }

  @Test
  void everyScriptIsInOrderAndNeverAheadOfNow() {
    for (Conversation conversation : data.conversations()) {
      assertThat(conversation.entries()).isSortedAccordingTo(Comparator.comparing(Entry::at));
      assertThat(conversation.entries()).allMatch(e -> !e.at().isAfter(NOW));
    }
  }

  @Test
  void noBlankIsLeftUnfilled() {
    assertThat(data.conversations().stream().flatMap(c -> c.entries().stream()))
        .noneMatch(e -> e.words().contains("{") || e.words().contains("null"));
  }

  @Test
  void aSituationThatCannotBeReadIsNamed() {
    assertThatThrownBy(() -> SituationReader.parse("== a | dock | 1-2 | usual\nX: hello"))
        .hasMessageContaining("Line 2")
        .hasMessageContaining("X: hello");
  }
}
