package fabulum.server.platform.web;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.QuoteMode;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/**
 * A file of values, RFC 4180. A value that a spreadsheet would take for a formula is led by an
 * apostrophe.
 */
public final class CsvAnswer {
  /** Its media type. */
  public static final String TYPE = "text/csv";

  private static final CSVFormat FORMAT =
      CSVFormat.RFC4180.builder().setQuoteMode(QuoteMode.ALL).get();

  private CsvAnswer() {}

  /** The file, with a name to save it by. */
  public static ResponseEntity<String> of(String name, List<List<String>> rows) {
    StringBuilder body = new StringBuilder();
    rows.forEach(row -> body.append(row(row)));
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(name).build().toString())
        .body(body.toString());
  }

  /** One line of the file, with its end. */
  public static String row(List<String> values) {
    return FORMAT.format(values.stream().map(CsvAnswer::notAFormula).toArray())
        + FORMAT.getRecordSeparator();
  }

  private static String notAFormula(String value) {
    boolean formula = !value.isEmpty() && "=+-@\t\r".indexOf(value.charAt(0)) >= 0;
    return formula ? "'" + value : value;
  }
}
