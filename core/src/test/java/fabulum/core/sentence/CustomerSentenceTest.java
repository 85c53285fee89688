package fabulum.core.sentence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CustomerSentenceTest {
  /** The page reads and writes the same texts; both are held to this table. */
  @Test
  void everyTextOfTheTableIsReadAndWrittenUnchanged() throws IOException {
    try (var table =
        Objects.requireNonNull(getClass().getResourceAsStream("/sentences-customers.txt"))) {
      String texts = new String(table.readAllBytes(), StandardCharsets.UTF_8);
      assertThat(texts.lines().filter(text -> !text.startsWith("#")))
          .hasSizeGreaterThan(15)
          .allSatisfy(text -> assertThat(CustomerSentence.read(text).text()).isEqualTo(text));
    }
  }

  @Test
  void nothingIsEveryone() {
    assertThat(CustomerSentence.read(" ; ")).isEqualTo(CustomerSentence.EVERYONE);
    assertThat(CustomerSentence.EVERYONE.text()).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "everyone",
        "site x",
        "site 0",
        "kind",
        "list 1; list 2",
        "detail x",
        "last 7; from 2026-01-01",
        "from 2026-02-30",
        "silent 0",
        "silent 99999",
        "opted out; agreed to news",
        "called"
      })
  void whatCannotBeReadIsNamed(String text) {
    assertThatThrownBy(() -> CustomerSentence.read(text))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
