package fabulum.core.suggest;

import fabulum.core.meaning.Points;
import java.util.ArrayList;
import java.util.List;

/**
 * Where texts lie in the space of meaning, seen from the middle of what is said here: so what all
 * texts of a business have in common does not make them alike.
 */
final class Meanings {
  /** How much it grows before the middle is computed anew. */
  private static final double STALE = 1.1;

  /** How much the business's own texts count for the middle; the rest is everyday talk. */
  private static final float MOST_OF_OURS = 0.5f;

  /** With fewer texts than half of this, they count less. */
  private static final float FEW = 200;

  private final List<float[]> background;
  private final List<float[]> raw = new ArrayList<>();
  private final List<float[]> seen = new ArrayList<>();

  /** One: the view of now. */
  private final List<View> views = new ArrayList<>(List.of(new View(new float[0], List.of())));

  /**
   * From where texts are seen.
   *
   * @param background everyday talk, as it is seen from there
   */
  private record View(float[] middle, List<float[]> background) {}

  /**
   * Begins.
   *
   * @param background where everyday talk lies that no business is asked for
   */
  Meanings(List<float[]> background) {
    this.background = background.stream().map(Points::unit).toList();
  }

  /** Adds a text; the first is number 0. */
  void add(float[] text) {
    float[] unit = Points.unit(text);
    raw.add(unit);
    seen.add(fromMiddle(unit));
    if (Growth.isDue(raw.size(), STALE)) {
      compute();
    }
  }

  private void compute() {
    float[] middle = Points.middle(raw);
    if (!background.isEmpty()) {
      float[] other = Points.middle(background);
      float share = Math.min(MOST_OF_OURS, (float) raw.size() / FEW);
      for (int i = 0; i < middle.length; i++) {
        middle[i] = share * middle[i] + (1 - share) * other[i];
      }
    }
    views.set(0, new View(middle, List.of()));
    views.set(0, new View(middle, background.stream().map(this::fromMiddle).toList()));
    for (int i = 0; i < raw.size(); i++) {
      seen.set(i, fromMiddle(raw.get(i)));
    }
  }

  private View view() {
    return views.get(0);
  }

  private float[] fromMiddle(float[] point) {
    return Points.from(view().middle(), point);
  }

  /** How alike a text is to each of those here, -1 to 1. */
  float[] likeness(float[] text) {
    return likeness(text, seen);
  }

  /** How alike a text is to each piece of everyday talk. */
  float[] everyday(float[] text) {
    return likeness(text, view().background());
  }

  private float[] likeness(float[] text, List<float[]> others) {
    float[] like = new float[others.size()];
    if (like.length == 0) {
      return like;
    }
    float[] point = fromMiddle(Points.unit(text));
    for (int i = 0; i < like.length; i++) {
      like[i] = Points.likeness(point, others.get(i));
    }
    return like;
  }
}
