package fabulum.server.exports;

import fabulum.server.exports.ScriptLine.File;
import fabulum.server.platform.web.CsvAnswer;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A script as values between commas (RFC 4180), in UTF-8; an import of past texts reads its texts
 * again.
 */
final class CsvScript implements ScriptWriter {
  private static final List<String> TITLES =
      List.of(
          "Id",
          "Time",
          "Direction",
          "Line",
          "Number",
          "Customer",
          "By",
          "Automatic",
          "Words",
          "Event",
          "State",
          "Reason",
          "Parts",
          "Cost",
          "Currency",
          "Attachments");

  private final Writer out;

  CsvScript(OutputStream out) throws IOException {
    this.out = new OutputStreamWriter(out, StandardCharsets.UTF_8);
    this.out.write(CsvAnswer.row(TITLES));
  }

  @Override
  public void write(List<ScriptLine> lines) throws IOException {
    for (ScriptLine line : lines) {
      out.write(
          CsvAnswer.row(
              List.of(
                  String.valueOf(line.id()),
                  line.time().toString(),
                  line.direction(),
                  line.line(),
                  line.number(),
                  line.customer(),
                  line.by(),
                  line.automatic() ? "yes" : "",
                  line.words(),
                  said(line.event()),
                  said(line.state()),
                  said(line.reason()),
                  said(line.parts()),
                  said(line.cost()),
                  said(line.currency()),
                  line.attachments().stream()
                      .map(CsvScript::name)
                      .collect(Collectors.joining("; ")))));
    }
  }

  private static String name(File file) {
    return file.file().isEmpty() ? file.name() : file.file();
  }

  private static String said(@Nullable Object value) {
    return value == null ? "" : value.toString();
  }

  @Override
  public void end() throws IOException {
    out.flush();
  }

  @Override
  public void close() throws IOException {
    out.close();
  }
}
