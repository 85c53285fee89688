package fabulum.server.platform.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpHeaders;

class CsvAnswerTest {
  private static String file(List<String> row) {
    return String.valueOf(CsvAnswer.of("record.csv", List.of(row)).getBody());
  }

  @Test
  void linesEndAndQuotesAreDoubledAsInRfc4180() {
    assertThat(file(List.of("a", "say \"ho\"", "two\nlines", "x,y")))
        .isEqualTo("\"a\",\"say \"\"ho\"\"\",\"two\nlines\",\"x,y\"\r\n");
  }

  @Test
  void whatASpreadsheetWouldReckonIsWords() {
    for (String formula : List.of("=1+1", "+1", "-1", "@SUM(A1)", "\tx")) {
      assertThat(file(List.of(formula))).isEqualTo("\"'" + formula + "\"\r\n");
    }
    assertThat(file(List.of("1-1", ""))).isEqualTo("\"1-1\",\"\"\r\n");
  }

  @Test
  void itIsSavedUnderItsName() {
    assertThat(
            CsvAnswer.of("record.csv", List.of())
                .getHeaders()
                .getFirst(HttpHeaders.CONTENT_DISPOSITION))
        .isEqualTo("attachment; filename=\"record.csv\"");
  }
}
