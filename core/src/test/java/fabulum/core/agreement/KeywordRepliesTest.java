package fabulum.core.agreement;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.text.Language;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class KeywordRepliesTest {
  private static final Set<Language> ALL = EnumSet.allOf(Language.class);

  @ParameterizedTest
  @EnumSource(Language.class)
  void everyAnswerNamesTheBusinessAndTheWayBack(Language language) {
    assertThat(KeywordReplies.stopped(language, "Quillhaven"))
        .startsWith("Quillhaven")
        .contains("START")
        .doesNotContain("STOP");
    assertThat(KeywordReplies.started(language, "Quillhaven"))
        .startsWith("Quillhaven")
        .contains("STOP")
        .doesNotContain("START");
    assertThat(KeywordReplies.help(language, "Quillhaven", "", "(312) 555-0142"))
        .startsWith(language == Language.FR ? "Quillhaven : " : "Quillhaven: ")
        .contains("(312) 555-0142")
        .contains("STOP");
    assertThat(KeywordReplies.help(language, "Quillhaven", "Come by.", "(312) 555-0142"))
        .contains("Come by. ")
        .doesNotContain("555");
  }

  @Test
  void noTwoLanguagesAnswerAlike() {
    Set<String> answers = new HashSet<>();
    for (Language language : Language.values()) {
      answers.add(KeywordReplies.stopped(language, ""));
      answers.add(KeywordReplies.started(language, ""));
      answers.add(KeywordReplies.help(language, "", "", ""));
    }
    assertThat(answers).hasSize(3 * Language.values().length);
  }

  @ParameterizedTest
  @CsvSource({
    "STOP, EN",
    "Stop!, EN",
    "baja, ES",
    "Abmelden, DE",
    "AB MELDEN, DE",
    "abmelden abmelden, DE",
    "zastavte, EN"
  })
  void aKeywordIsInTheLanguageThatHasIt(String text, Language language) {
    assertThat(Keywords.languageOf(text, ALL)).isEqualTo(language);
  }

  @Test
  void aLanguageThatIsSwitchedOffHasNoKeywords() {
    assertThat(Keywords.languageOf("abmelden", Set.of(Language.ES))).isEqualTo(Language.EN);
    assertThat(Keywords.languageOf("", ALL)).isEqualTo(Language.EN);
  }
}
