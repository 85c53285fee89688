package fabulum.core.suggest;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Texts by their letter groups: how alike a text is to each of them, as the cosine of their vectors
 * with logarithmic frequencies and inverse document frequencies.
 */
final class LetterIndex {
  /** Lengths of vectors are computed anew, with the rarities of then, when it has grown by this. */
  private static final double STALE = 1.2;

  private final Map<Integer, List<Holder>> groups = new HashMap<>();
  private final Map<Integer, Integer> elsewhere = new HashMap<>();
  private final List<Float> squares = new ArrayList<>();
  private final int counted;

  /** A text that has a group, and with what weight. */
  private record Holder(int text, float weight) {}

  /**
   * Begins.
   *
   * @param counted texts that say how rare groups are, but are not compared with
   */
  LetterIndex(Collection<Map<Integer, Integer>> counted) {
    this.counted = counted.size();
    counted.forEach(text -> text.keySet().forEach(one -> elsewhere.merge(one, 1, Integer::sum)));
  }

  /** Adds a text; the first is number 0. */
  void add(Map<Integer, Integer> text) {
    int number = squares.size();
    text.forEach((group, times) ->
        groups
            .computeIfAbsent(group, none -> new ArrayList<>(1))
            .add(new Holder(number, weight(times))));
    double square = 0;
    for (var one : text.entrySet()) {
      square += square(weight(one.getValue()) * rarity(one.getKey()));
    }
    squares.add((float) square);
    if (Growth.isDue(squares.size(), STALE)) {
      compute();
    }
  }

  private void compute() {
    float[] sums = new float[squares.size()];
    groups.forEach((group, holders) -> {
      double rarity = rarity(group);
      holders.forEach(one -> sums[one.text()] += (float) square(one.weight() * rarity));
    });
    for (int i = 0; i < sums.length; i++) {
      squares.set(i, sums[i]);
    }
  }

  private static float weight(int times) {
    return (float) (1 + Math.log(times));
  }

  private static double square(double value) {
    return value * value;
  }

  private double rarity(int group) {
    int with = groups.getOrDefault(group, List.of()).size() + elsewhere.getOrDefault(group, 0);
    return Math.log((squares.size() + counted + 1) / (with + 0.5));
  }

  /** How alike a text is to each of those here, 0 to 1. */
  float[] likeness(Map<Integer, Integer> text) {
    float[] like = new float[squares.size()];
    double own = 0;
    for (var one : text.entrySet()) {
      double rarity = Math.max(0, rarity(one.getKey()));
      double weighed = weight(one.getValue()) * rarity;
      own += weighed * weighed;
      for (Holder holder : groups.getOrDefault(one.getKey(), List.of())) {
        like[holder.text()] += (float) (weighed * holder.weight() * rarity);
      }
    }
    for (int i = 0; i < like.length; i++) {
      double lengths = Math.sqrt(own * squares.get(i));
      like[i] = lengths == 0 ? 0 : (float) Math.min(1, like[i] / lengths);
    }
    return like;
  }
}
