package fabulum.core.suggest;

import fabulum.core.meaning.Points;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.IntStream;

/** A question compared with all that is known. */
final class Compared {
  private static final int NEAREST = 3;
  private static final int EVERYDAY_NEAREST = 5;
  private static final int ASKS_NEAREST = 3;
  private static final double SIMILAR_LETTERS = 0.35;
  private static final double SIMILAR_MEANING = 0.45;
  private static final long NO_TEMPLATE = 0;

  /** With more words than these a question is as long as any. */
  private static final int LONG = 8;

  private final float[] byLetters;
  private final Optional<ByMeaning> byMeaning;
  private final Map<Long, Nearest> nearLetters = new HashMap<>();
  private final Map<Long, Nearest> nearMeaning = new HashMap<>();
  private final Map<Long, Integer> similar = new HashMap<>();
  private final Map<Long, double[]> own = new HashMap<>();
  private final Map<Long, float[]> about = new HashMap<>();
  private final Map<Long, float[]> sums = new HashMap<>();
  private final int words;

  /**
   * Begins with nothing known of any template.
   *
   * @param words how many words the question has
   * @param byLetters how like it is to each text that is known
   */
  Compared(int words, float[] byLetters, Optional<ByMeaning> byMeaning) {
    this.words = words;
    this.byLetters = byLetters;
    this.byMeaning = byMeaning;
  }

  /**
   * What a question means.
   *
   * @param point where it lies
   * @param likeness how like it is to each text that is known
   * @param everyday how like it is to each piece of everyday talk
   * @param asks how near it is to each common ask
   * @param about how far each of them stands out in it
   */
  record ByMeaning(
      float[] point, float[] likeness, float[] everyday, float[] asks, float[] about) {}

  /** Whether meanings are compared, or letters alone. */
  boolean isByMeaning() {
    return byMeaning.isPresent();
  }

  /** Takes in an answered question of a template. */
  void near(long template, int text) {
    double like = byLetters[text];
    nearLetters.computeIfAbsent(template, none -> new Nearest()).add(like);
    boolean alike = like >= SIMILAR_LETTERS;
    if (byMeaning.isPresent()) {
      double means = byMeaning.get().likeness()[text];
      nearMeaning.computeIfAbsent(template, none -> new Nearest()).add(means);
      alike |= means >= SIMILAR_MEANING;
    }
    if (alike) {
      similar.merge(template, 1, Integer::sum);
    }
  }

  /**
   * Takes in where a text of a template, or a question of it, lies, and what it is about; nothing
   * of questions without a template.
   */
  void knows(long template, float[] point, float[] standing) {
    if (template != NO_TEMPLATE) {
      Points.add(sums.computeIfAbsent(template, none -> new float[point.length]), point);
      Asks.raise(about.computeIfAbsent(template, none -> new float[standing.length]), standing);
    }
  }

  /** Takes in what a template itself says. */
  void own(long template, Own at) {
    float[] means = byMeaning.map(ByMeaning::likeness).orElse(byLetters);
    own.put(
        template,
        new double[] {
          means[at.title()], Math.max(means[at.words()], means[at.both()]), byLetters[at.both()]
        });
  }

  /** How many questions of a template are similar. */
  int similar(long template) {
    return similar.getOrDefault(template, 0);
  }

  /** What is known of a template, as {@link Scores} weighs it. */
  double[] of(long template) {
    Nearest letters = nearLetters.getOrDefault(template, new Nearest());
    double[] itself = own.getOrDefault(template, new double[] {0, 0, 0});
    if (byMeaning.isEmpty()) {
      return new double[] {letters.first(), letters.mean(), itself[2]};
    }
    Nearest means = nearMeaning.getOrDefault(template, new Nearest());
    return new double[] {
      means.first(),
      means.mean(),
      itself[0],
      itself[1],
      letters.first(),
      letters.mean(),
      itself[2],
      aboutTheSame(template, Asks::alike),
      aboutTheSame(template, Asks::nearest),
      inItsDirection(template)
    };
  }

  private double aboutTheSame(long template, BiFunction<float[], float[], Double> how) {
    float[] of = about.get(template);
    return of == null ? 0 : how.apply(byMeaning.orElseThrow().about(), of);
  }

  /** How far the question lies where all that is known of a template lies in the mean. */
  private double inItsDirection(long template) {
    float[] sum = sums.get(template);
    return sum == null ? 0 : Points.likeness(byMeaning.orElseThrow().point(), Points.unit(sum));
  }

  /** What is known of "none of them", as {@link Scores} weighs it. */
  double[] none() {
    double letters = nearLetters.getOrDefault(NO_TEMPLATE, new Nearest()).first();
    if (byMeaning.isEmpty()) {
      return new double[] {letters};
    }
    float[] everyday = byMeaning.get().everyday();
    float[] asked = byMeaning.get().asks();
    return new double[] {
      nearest(everyday, 1),
      nearest(everyday, EVERYDAY_NEAREST),
      nearMeaning.getOrDefault(NO_TEMPLATE, new Nearest()).first(),
      letters,
      nearest(asked, 1),
      nearest(asked, ASKS_NEAREST),
      Math.log(1 + Math.min(words, LONG))
    };
  }

  /** The mean of the highest few; 0 of none. */
  private static double nearest(float[] likeness, int few) {
    float[] sorted = likeness.clone();
    Arrays.sort(sorted);
    int from = Math.max(0, sorted.length - few);
    return IntStream.range(from, sorted.length).mapToDouble(i -> sorted[i]).average().orElse(0);
  }

  /** Where a template's own title, words, and both together are among the texts. */
  record Own(int title, int words, int both) {}

  /** The nearest few of a kind. */
  private static final class Nearest {
    private final List<Double> best = new ArrayList<>(NEAREST + 1);

    void add(double likeness) {
      int place = 0;
      while (place < best.size() && best.get(place) >= likeness) {
        place++;
      }
      if (place < NEAREST) {
        best.add(place, likeness);
      }
      if (best.size() > NEAREST) {
        best.remove(NEAREST);
      }
    }

    double first() {
      return best.isEmpty() ? 0 : best.get(0);
    }

    double mean() {
      return best.stream().mapToDouble(one -> one).average().orElse(0);
    }
  }
}
