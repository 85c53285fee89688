package fabulum.core.suggest;

import fabulum.core.meaning.Points;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * Where texts lie in the space of meaning, seen from the middle of what is said here: so what all
 * texts of a business have in common does not make them alike.
 */
final class Meanings {
  /** How much it grows before the middle is computed anew. */
  private static final double STALE = 1.2;

  /** How much the business's own texts count for the middle; the rest is everyday talk. */
  private static final float MOST_OF_OURS = 0.5f;

  /** With fewer texts than half of this, they count less. */
  private static final float FEW = 200;

  private final List<float[]> background;
  private final List<float[]> talk;
  private final Asks asks;
  private final List<float[]> raw = new ArrayList<>();
  private final List<float[]> seen = new ArrayList<>();
  private final List<float[]> about = new ArrayList<>();

  /** One: the view of now. */
  private final List<View> views;

  /**
   * From where texts are seen.
   *
   * @param talk everyday and small talk, as it is seen from there
   * @param asks what customers ask, as it is seen from there
   */
  private record View(float[] middle, List<float[]> talk, Asks asks) {}

  /**
   * Begins.
   *
   * @param background where everyday talk lies that no business is asked for; the middle is between
   *     it and what is added
   * @param small where small talk lies that no business is asked for either
   * @param asks where the wordings of each common ask lie
   */
  Meanings(List<float[]> background, List<float[]> small, List<List<float[]>> asks) {
    this.background = units(background);
    this.talk = Stream.concat(this.background.stream(), units(small).stream()).toList();
    this.asks = new Asks(asks.stream().map(Meanings::units).toList());
    this.views = new ArrayList<>(List.of(new View(new float[0], talk, this.asks)));
  }

  private static List<float[]> units(List<float[]> points) {
    return points.stream().map(Points::unit).toList();
  }

  /** Adds a text; the first is number 0. */
  void add(float[] text) {
    float[] unit = Points.unit(text);
    raw.add(unit);
    seen.add(fromMiddle(unit));
    about.add(Asks.standing(view().asks().nearness(seen.get(seen.size() - 1))));
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
    views.set(
        0,
        new View(
            middle,
            talk.stream().map(point -> Points.from(middle, point)).toList(),
            asks.from(middle)));
    for (int i = 0; i < raw.size(); i++) {
      seen.set(i, fromMiddle(raw.get(i)));
      about.set(i, Asks.standing(view().asks().nearness(seen.get(i))));
    }
  }

  private View view() {
    return views.get(0);
  }

  private float[] fromMiddle(float[] point) {
    return Points.from(view().middle(), point);
  }

  /** How a question lies to all there is. */
  Compared.ByMeaning of(float[] question) {
    float[] point = fromMiddle(Points.unit(question));
    float[] nearness = view().asks().nearness(point);
    return new Compared.ByMeaning(
        point,
        likeness(point, seen),
        likeness(point, view().talk()),
        nearness,
        Asks.standing(nearness));
  }

  /** What a text that is here is about, of what is commonly asked. */
  float[] about(int text) {
    return about.get(text);
  }

  /** Where a text that is here lies. */
  float[] point(int text) {
    return seen.get(text);
  }

  private static float[] likeness(float[] point, List<float[]> others) {
    float[] like = new float[others.size()];
    for (int i = 0; i < like.length; i++) {
      like[i] = Points.likeness(point, others.get(i));
    }
    return like;
  }
}
