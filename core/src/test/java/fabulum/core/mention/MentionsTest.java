package fabulum.core.mention;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.mention.Mentions.Mention;
import fabulum.core.mention.Mentions.Name;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MentionsTest {
  private static final List<Name> STAFF =
      List.of(
          new Name(1, "Priya Nandakumar"),
          new Name(2, "Eli Castellanos"),
          new Name(3, "Eli Brook"),
          new Name(4, "Wen"));

  @ParameterizedTest
  @CsvSource({
    "'@Priya can you look?', 1",
    "'please @priya nandakumar, today', 1",
    "'@Eli which one?', ''",
    "'@Eli Brook and @Wen', '3 4'",
    "'(@Wen)', 4",
    "'wen@example.com', ''",
    "'@Wendy', ''",
    "'@', ''",
    "'@@Wen', 4",
    "'@Nobody', ''"
  })
  void anAtSignAndANameThatFitsNameSomebody(String words, String who) {
    String expected = who == null ? "" : who;
    assertThat(Mentions.find(words, STAFF).stream().map(Mention::who).map(String::valueOf))
        .containsExactlyElementsOf(
            expected.isEmpty() ? List.of() : Arrays.asList(expected.split(" ")));
  }

  @Test
  void theLongestNameThatFitsIsMarked() {
    assertThat(Mentions.find("ask @Priya Nandakumar!", STAFF))
        .containsExactly(new Mention(1, 4, 21));
    assertThat(Mentions.find("ask @Priya N", STAFF)).containsExactly(new Mention(1, 4, 10));
  }
}
