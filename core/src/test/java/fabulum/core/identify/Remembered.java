package fabulum.core.identify;

import fabulum.core.meaning.Meaning;
import fabulum.core.meaning.Viewpoint;
import java.util.Map;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.concurrent.ConcurrentHashMap;

/** Asks the model once for all words of the labelled sets. */
final class Remembered implements Meaning {
  private final Meaning model;
  private final Map<String, float[]> known = new ConcurrentHashMap<>();

  private Remembered(Meaning model) {
    this.model = model;
  }

  /** The model that is among the classes; empty for none. */
  static Optional<Meaning> model() {
    return ServiceLoader.load(Meaning.class)
        .findFirst()
        .map(model -> new Remembered(new Viewpoint(model)));
  }

  @Override
  public float[] of(String words) {
    return known.computeIfAbsent(words, model::of);
  }
}
