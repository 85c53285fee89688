package fabulum.meaning;

import fabulum.core.meaning.PackedMeaning;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * Where texts lie that every business is compared with, worked out beforehand: so the first
 * suggestion need not wait for two thousand of them. The file has the numbers in a point, how many
 * texts there are, and for each text in order its hash code and its packed point.
 */
final class KnownPoints {
  private static final String FILE = "/fabulum/meaning/known.points";

  /** Numbers in a point: those of the first model and those of the second. */
  private static final int LENGTH = 2 * SentenceMeaning.LENGTH;

  private final Map<String, byte[]> points;

  private KnownPoints(Map<String, byte[]> points) {
    this.points = points;
  }

  /**
   * Reads those that are shipped.
   *
   * @param texts in the order of the file; one that stands there otherwise is not known
   */
  static KnownPoints of(List<String> texts) {
    Map<String, byte[]> points = new HashMap<>();
    try (InputStream file = KnownPoints.class.getResourceAsStream(FILE)) {
      if (file != null) {
        DataInputStream data = new DataInputStream(file);
        int length = data.readInt();
        int written = length == LENGTH ? data.readInt() : 0;
        for (String text : texts.subList(0, Math.min(texts.size(), written))) {
          int hash = data.readInt();
          byte[] point = data.readNBytes(LENGTH);
          if (hash == text.hashCode() && point.length == LENGTH) {
            points.put(text, point);
          }
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return new KnownPoints(points);
  }

  /** Writes the file anew, as it is shipped in the resources of this module. */
  static void write(List<String> texts, Function<String, float[]> model, OutputStream to)
      throws IOException {
    DataOutputStream data = new DataOutputStream(to);
    data.writeInt(LENGTH);
    data.writeInt(texts.size());
    for (String text : texts) {
      data.writeInt(text.hashCode());
      data.write(PackedMeaning.pack(model.apply(text)));
    }
    data.flush();
  }

  /** Where a text lies, if it is one of them. */
  Optional<float[]> find(String text) {
    return Optional.ofNullable(points.get(text)).map(PackedMeaning::unpack);
  }
}
