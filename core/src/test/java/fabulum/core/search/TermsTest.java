package fabulum.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TermsTest {
  private static List<String> plain(String text) {
    return Terms.of(text).stream().map(Term::plain).toList();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "Don’t LIFT-OUT, señor!|dont lift out senor",
        "a cafe\u0301|a cafe",
        "co\u00adoperate|cooperate",
        "call (612) 555-0142 now|call #6125550142 #5550142 612 555 0142 now",
        "+1 612.555.0142|#16125550142 #6125550142 #5550142 1 612 555 0142",
        "555‑0142|#5550142 555 0142",
        "٥٥٥ ٠١٤٢|#5550142 555 0142",
        "costs $1,250.00|costs 1250 1 250 00",
        "1’250 francs|1250 1 250 francs",
        "1,25 or 1234,567|1 25 or 1234 567",
        "at 14:30 on 11/6|at 14 30 on 11 6",
        "ok 👍🏽 thanks👍|ok 👍 thanks 👍",
        "👩‍🔧 and 🇺🇸 or ❤️|👩‍🔧 and 🇺🇸 or ❤",
        "船 here|船 here",
        "…|"
      })
  void textsHaveTheseTerms(String text, String terms) {
    assertThat(plain(text)).containsExactly(terms == null ? new String[0] : terms.split(" "));
  }

  @Test
  void eachTermKnowsWhereItStands() {
    String text = "I’m at 612-555-0142 👍🏽.";
    assertThat(Terms.of(text))
        .extracting(term -> text.substring(term.from(), term.to()) + " " + term.position())
        .containsExactly(
            "I’m 0",
            "at 1",
            "612-555-0142 2",
            "612-555-0142 2",
            "612 2",
            "555 3",
            "0142 4",
            "👍🏽 5");
  }

  @Test
  void accentsStayForTheStems() {
    assertThat(Terms.of("Reparación")).extracting(Term::written).containsExactly("reparación");
  }
}
