package fabulum.server.imports;

import fabulum.server.imports.Sheet.Row;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.MappingIterator;
import tools.jackson.databind.json.JsonMapper;

/**
 * JSON objects, in an array or one after the other, as rows; the names of members are the titles.
 */
final class JsonRows {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private JsonRows() {}

  /** Whether a file looks like it. */
  static boolean isJson(String text) {
    String begun = text.substring(0, Math.min(text.length(), 400)).stripLeading();
    return begun.startsWith("{") || begun.startsWith("[");
  }

  /** Reads the objects. */
  static List<Row> read(String text) {
    List<JsonNode> objects = new ArrayList<>();
    Set<String> titles = new LinkedHashSet<>();
    // The iterator goes into an array by itself.
    try (MappingIterator<JsonNode> all = JSON.readerFor(JsonNode.class).readValues(text)) {
      while (all.hasNextValue()) {
        JsonNode one = all.nextValue();
        if (!one.isObject()) {
          throw Sheet.bad(
              "Object " + (objects.size() + 1) + " is not a JSON object. Nothing was imported.");
        }
        titles.addAll(one.propertyNames());
        objects.add(one);
      }
    } catch (JacksonException broken) {
      throw Sheet.bad(
          "The JSON cannot be read from line "
              + (broken.getLocation() == null ? 1 : broken.getLocation().getLineNr())
              + " on. Nothing was imported.");
    }
    if (objects.isEmpty()) {
      throw Sheet.bad("There are no objects in the file.");
    }
    List<Row> rows = new ArrayList<>();
    rows.add(new Row(0, List.copyOf(titles)));
    for (int i = 0; i < objects.size(); i++) {
      JsonNode one = objects.get(i);
      Stream<String> cells =
          titles.stream()
              .map(one::path)
              .map(value -> value.isValueNode() && !value.isNull() ? value.asString() : "");
      Sheet.add(rows, new Row(i + 1L, cells.toList()));
    }
    return rows;
  }
}
