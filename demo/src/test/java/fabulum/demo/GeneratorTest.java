package fabulum.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.core.conversation.Group;
import fabulum.demo.DemoData.Conversation;
import fabulum.demo.DemoData.Entry;
import java.time.Instant;
import java.util.Comparator;
import org.junit.jupiter.api.Test;

class GeneratorTest {
  private static final Instant NOW = Instant.parse("2026-06-09T19:05:00Z");
  private final DemoData data = new Generator(1907, NOW).generate();

  @Test
  void theSameSeedAndMomentGiveTheSameData() {
    assertThat(new Generator(1907, NOW).generate()).isEqualTo(data);
  }

  @Test
  void itIsAsLargeAsAFirstVersionShouldBe() {
    assertThat(data.customers()).hasSizeGreaterThanOrEqualTo(150);
    assertThat(data.conversations()).hasSizeGreaterThanOrEqualTo(600);
    assertThat(count(Group.OUR_TURN) + count(Group.THEIR_TURN) + count(Group.SET_ASIDE))
        .isBetween(40L, 60L);
    assertThat(count(Group.SET_ASIDE)).isBetween(3L, 8L);
    assertThat(
            data.conversations().stream()
                .filter(c ->
                    c.state().isOpen() && data.numbers().get(c.number()).holders().size() != 1))
        .hasSizeBetween(8, 12);
  }

  private long count(Group group) {
    return data.conversations().stream().filter(c -> c.state().group() == group).count();
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
