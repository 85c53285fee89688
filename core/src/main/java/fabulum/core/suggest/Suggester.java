package fabulum.core.suggest;

import fabulum.core.meaning.Everyday;
import fabulum.core.meaning.Meaning;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.LongPredicate;

/**
 * Suggests templates for what a customer asks, from what similar questions were answered with.
 * Nearest answered questions by letter groups and, where there is one, by meaning; their likeness
 * and that of a template's own words are weighed against "nothing fits". May be used by many at
 * once.
 */
public final class Suggester {
  /** The most that is suggested. */
  public static final int MOST = 3;

  private static final int NEAREST = 3;
  private static final int EVERYDAY_NEAREST = 5;
  private static final int LONGEST = 1_000;

  private final Optional<Meaning> meaning;
  private final Limits limits;
  private final Scores scores;
  private final LetterIndex letters =
      new LetterIndex(Everyday.TALK.stream().map(LetterGroups::of).toList());
  private final Meanings meanings;
  private final List<Said> said = new ArrayList<>();
  private final Map<Long, Own> templates = new HashMap<>();

  /** A text that is compared with: a question, or what a template itself says. */
  private record Said(Lesson lesson, boolean isQuestion) {}

  /** Where a template's own title, words, and both together are among the texts. */
  private record Own(int title, int words, int both) {}

  /**
   * When something is suggested.
   *
   * @param none the likelihood that nothing fits from which nothing is shown
   * @param first the likelihood that the first must have
   * @param least the likelihood below which a template is not shown
   */
  record Limits(double none, double first, double least) {}

  /** Begins with nothing learned. */
  public Suggester(Optional<Meaning> meaning) {
    this.meaning = meaning;
    this.limits = new Limits(meaning.isPresent() ? 0.5 : 0.35, 0.12, 0.03);
    this.scores = meaning.isPresent() ? Scores.MEANING : Scores.LETTERS;
    this.meanings =
        new Meanings(
            meaning.map(one -> Everyday.TALK.stream().map(one::of).toList()).orElseGet(List::of));
  }

  /** Takes in what a template says, without its placeholders. */
  public void know(long template, String title, String words) {
    String both = title + ". " + words;
    int first = add(List.of(title, words, both), new Lesson(0, template, ""), false);
    synchronized (this) {
      templates.put(template, new Own(first, first + 1, first + 2));
    }
  }

  /** Learns what a question was answered with. */
  public void learn(Lesson lesson) {
    if (!lesson.asked().isBlank()) {
      add(List.of(lesson.asked()), lesson, true);
    }
  }

  private int add(List<String> texts, Lesson lesson, boolean isQuestion) {
    List<String> cut = texts.stream().map(Suggester::cut).toList();
    List<float[]> points =
        meaning.map(one -> cut.stream().map(one::of).toList()).orElseGet(List::of);
    synchronized (this) {
      int first = said.size();
      for (int i = 0; i < cut.size(); i++) {
        letters.add(LetterGroups.of(cut.get(i)));
        if (!points.isEmpty()) {
          meanings.add(points.get(i));
        }
        said.add(new Said(lesson, isQuestion));
      }
      return first;
    }
  }

  private static String cut(String words) {
    return words.length() <= LONGEST ? words : words.substring(0, LONGEST);
  }

  /** How many questions it has learned from. */
  public synchronized int size() {
    return (int) said.stream().filter(Said::isQuestion).count();
  }

  /**
   * The templates that most probably answer a question, the likeliest first; none when nothing
   * fits.
   *
   * @param offered those that may be suggested
   * @param mayTell which answers, by their ids, the person may be told of; nothing is concluded
   *     from others
   */
  public List<Suggestion> suggest(String asked, Set<Long> offered, LongPredicate mayTell) {
    if (asked.isBlank() || offered.isEmpty()) {
      return List.of();
    }
    Compared compared = compare(asked, mayTell);
    List<Scored> scored = new ArrayList<>();
    for (long template : offered) {
      scored.add(new Scored(template, scores.score(compared.of(template))));
    }
    scored.sort(Comparator.comparingDouble(Scored::score).reversed());
    return shown(scored, scores.none(compared.none()), compared);
  }

  private record Scored(long template, double score) {}

  private List<Suggestion> shown(List<Scored> scored, double none, Compared compared) {
    double best = Math.max(none, scored.get(0).score());
    double nothing = Math.exp(none - best);
    double all = nothing;
    // More than a few would outweigh "nothing" by their number alone.
    for (Scored one : scored.subList(0, Math.min(EVERYDAY_NEAREST, scored.size()))) {
      all += Math.exp(one.score() - best);
    }
    double first = Math.exp(scored.get(0).score() - best) / all;
    if (nothing / all >= limits.none() || first < limits.first()) {
      return List.of();
    }
    List<Suggestion> shown = new ArrayList<>();
    for (Scored one : scored.subList(0, Math.min(MOST, scored.size()))) {
      double likelihood = Math.exp(one.score() - best) / all;
      if (likelihood >= limits.least()) {
        shown.add(new Suggestion(one.template(), likelihood, compared.similar(one.template())));
      }
    }
    return shown;
  }

  /** What is known of each template and of "none of them" for a question. */
  Compared compare(String asked, LongPredicate mayTell) {
    String words = cut(asked);
    Map<Integer, Integer> groups = LetterGroups.of(words);
    Optional<float[]> point = meaning.map(one -> one.of(words));
    synchronized (this) {
      float[] byLetters = letters.likeness(groups);
      Optional<float[]> byMeaning = point.map(meanings::likeness);
      Compared compared = new Compared(byLetters, byMeaning, point.map(meanings::everyday));
      for (int i = 0; i < said.size(); i++) {
        Said one = said.get(i);
        if (one.isQuestion() && mayTell.test(one.lesson().id())) {
          compared.near(one.lesson().template(), i);
        }
      }
      templates.forEach(compared::own);
      return compared;
    }
  }

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

  /** A question compared with all that is known. */
  static final class Compared {
    private static final double SIMILAR_LETTERS = 0.35;
    private static final double SIMILAR_MEANING = 0.45;
    private static final long NO_TEMPLATE = 0;

    private final float[] byLetters;
    private final Optional<float[]> byMeaning;
    private final Optional<float[]> everyday;
    private final Map<Long, Nearest> nearLetters = new HashMap<>();
    private final Map<Long, Nearest> nearMeaning = new HashMap<>();
    private final Map<Long, Integer> similar = new HashMap<>();
    private final Map<Long, double[]> own = new HashMap<>();

    private Compared(float[] byLetters, Optional<float[]> byMeaning, Optional<float[]> everyday) {
      this.byLetters = byLetters;
      this.byMeaning = byMeaning;
      this.everyday = everyday;
    }

    private void near(long template, int text) {
      double like = byLetters[text];
      nearLetters.computeIfAbsent(template, none -> new Nearest()).add(like);
      boolean alike = like >= SIMILAR_LETTERS;
      if (byMeaning.isPresent()) {
        double means = byMeaning.get()[text];
        nearMeaning.computeIfAbsent(template, none -> new Nearest()).add(means);
        alike |= means >= SIMILAR_MEANING;
      }
      if (alike) {
        similar.merge(template, 1, Integer::sum);
      }
    }

    private void own(long template, Own at) {
      float[] means = byMeaning.orElse(byLetters);
      own.put(
          template,
          new double[] {
            means[at.title()], Math.max(means[at.words()], means[at.both()]), byLetters[at.both()]
          });
    }

    int similar(long template) {
      return similar.getOrDefault(template, 0);
    }

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
        itself[2]
      };
    }

    double[] none() {
      double letters = nearLetters.getOrDefault(NO_TEMPLATE, new Nearest()).first();
      if (everyday.isEmpty()) {
        return new double[] {letters};
      }
      float[] talk = everyday.get().clone();
      java.util.Arrays.sort(talk);
      double mean = 0;
      int few = Math.min(EVERYDAY_NEAREST, talk.length);
      for (int i = 0; i < few; i++) {
        mean += talk[talk.length - 1 - i] / few;
      }
      return new double[] {
        talk.length == 0 ? 0 : talk[talk.length - 1],
        mean,
        nearMeaning.getOrDefault(NO_TEMPLATE, new Nearest()).first(),
        letters
      };
    }
  }
}
