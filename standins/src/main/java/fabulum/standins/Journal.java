package fabulum.standins;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What the network remembers over a restart: one JSON document a line, the newest word on a text
 * last.
 */
@Component
class Journal {
  private final Path file;
  private final JsonMapper json;

  Journal(Settings settings, JsonMapper json) {
    this.json = json;
    try {
      Files.createDirectories(settings.data());
    } catch (IOException e) {
      throw new UncheckedIOException("The folder cannot be made: " + settings.data(), e);
    }
    this.file = settings.data().resolve("network.jsonl");
  }

  /** A line: one of the three is there. */
  record Line(@Nullable Carried carried, @Nullable Received received, @Nullable String told) {}

  synchronized void add(Line line) {
    try {
      Files.writeString(
          file,
          json.writeValueAsString(line) + "\n",
          StandardOpenOption.CREATE,
          StandardOpenOption.APPEND);
    } catch (IOException e) {
      throw new UncheckedIOException("The journal cannot be written: " + file, e);
    }
  }

  /** All lines; one torn by a sudden end is left out. */
  List<Line> read() {
    if (!Files.exists(file)) {
      return List.of();
    }
    try (var lines = Files.lines(file, StandardCharsets.UTF_8)) {
      return lines.map(this::line).filter(line -> line != null).toList();
    } catch (IOException e) {
      throw new UncheckedIOException("The journal cannot be read: " + file, e);
    }
  }

  private @Nullable Line line(String text) {
    try {
      return json.readValue(text, Line.class);
    } catch (JacksonException torn) {
      return null;
    }
  }
}
