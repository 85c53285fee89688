package fabulum.server.platform.web;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Collectors;
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

  private CsvAnswer() {}

  /** The file, with a name to save it by. */
  public static ResponseEntity<String> of(String name, List<List<String>> rows) {
    String body =
        rows.stream()
            .map(row -> row.stream().map(CsvAnswer::quoted).collect(Collectors.joining(",")))
            .collect(Collectors.joining("\r\n", "", "\r\n"));
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(name).build().toString())
        .body(body);
  }

  private static String quoted(String value) {
    boolean formula = !value.isEmpty() && "=+-@\t\r".indexOf(value.charAt(0)) >= 0;
    String safe = formula ? "'" + value : value;
    return "\"" + safe.replace("\"", "\"\"") + "\"";
  }
}
