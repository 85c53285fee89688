package fabulum.server.exports;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.cfg.DateTimeFeature;
import tools.jackson.databind.json.JsonMapper;

/** A script as one array of JSON objects (RFC 8259). */
final class JsonScript implements ScriptWriter {
  private static final ObjectMapper JSON =
      JsonMapper.builder()
          .disable(DateTimeFeature.WRITE_DATES_AS_TIMESTAMPS)
          .disable(DateTimeFeature.ADJUST_DATES_TO_CONTEXT_TIME_ZONE)
          .disable(SerializationFeature.INDENT_OUTPUT)
          .build();

  private final Writer out;
  private boolean first = true;

  JsonScript(OutputStream out) throws IOException {
    this.out = new OutputStreamWriter(out, StandardCharsets.UTF_8);
    this.out.write("[");
  }

  @Override
  public void write(List<ScriptLine> lines) throws IOException {
    for (ScriptLine line : lines) {
      out.write(first ? "\n" : ",\n");
      out.write(JSON.writeValueAsString(line));
      first = false;
    }
  }

  @Override
  public void end() throws IOException {
    out.write("\n]\n");
    out.flush();
  }

  @Override
  public void close() throws IOException {
    out.close();
  }
}
