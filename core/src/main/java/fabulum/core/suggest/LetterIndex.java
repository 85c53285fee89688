package fabulum.core.suggest;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Texts by their letter groups: how alike a text is to each of them, as the cosine of their vectors
 * with logarithmic frequencies and inverse document frequencies.
 */
final class LetterIndex {
  /** How much it grows before lengths of vectors are computed anew with the rarities of now. */
  private static final double STALE = 1.2;

  /** Texts that have a group, each with how often. */
  private static final class Holders {
    private int[] texts = new int[4];
    private float[] times = new float[4];
    private int size;
    private int elsewhere;

    void add(int text, float time) {
      if (size == texts.length) {
        texts = Arrays.copyOf(texts, 2 * size);
        times = Arrays.copyOf(times, 2 * size);
      }
      texts[size] = text;
      times[size] = time;
      size++;
    }
  }

  private final Map<Integer, Holders> groups = new HashMap<>();
  private final List<Float> squares = new ArrayList<>();
  private int elsewhere;
  private int computedAt;

  /** Counts a text for how rare its groups are; it is none of those that are compared with. */
  void count(Map<Integer, Integer> text) {
    text.keySet()
        .forEach(group -> groups.computeIfAbsent(group, none -> new Holders()).elsewhere++);
    elsewhere++;
  }

  /** Adds a text; the first is number 0. */
  void add(Map<Integer, Integer> text) {
    int number = squares.size();
    text.forEach((group, times) ->
        groups.computeIfAbsent(group, none -> new Holders()).add(number, weight(times)));
    double square = 0;
    for (var one : text.entrySet()) {
      square += square(weight(one.getValue()) * rarity(one.getKey()));
    }
    squares.add((float) square);
    if (squares.size() > STALE * computedAt) {
      compute();
    }
  }

  private void compute() {
    float[] sums = new float[squares.size()];
    groups.forEach((group, holders) -> {
      double rarity = rarity(group);
      for (int i = 0; i < holders.size; i++) {
        sums[holders.texts[i]] += (float) square(holders.times[i] * rarity);
      }
    });
    for (int i = 0; i < sums.length; i++) {
      squares.set(i, sums[i]);
    }
    computedAt = sums.length;
  }

  private static float weight(int times) {
    return (float) (1 + Math.log(times));
  }

  private static double square(double value) {
    return value * value;
  }

  private double rarity(int group) {
    Holders holders = groups.get(group);
    int with = holders == null ? 0 : holders.size + holders.elsewhere;
    return Math.log((squares.size() + elsewhere + 1) / (with + 0.5));
  }

  /** How alike a text is to each of those here, 0 to 1. */
  float[] likeness(Map<Integer, Integer> text) {
    float[] like = new float[squares.size()];
    double own = 0;
    for (var one : text.entrySet()) {
      double rarity = Math.max(0, rarity(one.getKey()));
      double weighed = weight(one.getValue()) * rarity;
      own += weighed * weighed;
      Holders holders = groups.get(one.getKey());
      for (int i = 0; holders != null && i < holders.size; i++) {
        like[holders.texts[i]] += (float) (weighed * holders.times[i] * rarity);
      }
    }
    for (int i = 0; i < like.length; i++) {
      double lengths = Math.sqrt(own * squares.get(i));
      like[i] = lengths == 0 ? 0 : (float) Math.min(1, like[i] / lengths);
    }
    return like;
  }
}
