package fabulum.core.suggest;

import fabulum.core.meaning.Everyday;
import fabulum.core.meaning.Meaning;
import fabulum.core.text.SmallWords;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.LongPredicate;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Suggests templates for what a customer asks, from what similar questions were answered with.
 * Nearest answered questions by letter groups and, where there is one, by meaning; their likeness
 * and that of a template's own words are weighed against "nothing fits". May be used by many at
 * once.
 */
public final class Suggester {
  /** The most that is suggested. */
  public static final int MOST = 3;

  /** More templates than these would outweigh "nothing" by their number alone. */
  private static final int WEIGHED = 5;

  /** From this likelihood on that nothing fits, nothing is shown. */
  private static final double NONE = 0.35;

  /** The likelihood that the first must have. */
  private static final double FIRST = 0.12;

  /** Below this likelihood a template is not shown; and where letters alone are compared. */
  private static final double LEAST = 0.01;

  private static final double LEAST_BY_LETTERS = 0.03;

  private static final int LONGEST = 1_000;
  private static final Pattern WORD = Pattern.compile("[\\p{L}']+");

  private final Optional<Meaning> meaning;
  private final LetterIndex letters =
      new LetterIndex(Everyday.TALK.stream().map(LetterGroups::of).toList());
  private final Meanings meanings;
  private final List<Said> said = new ArrayList<>();
  private final Map<Long, Compared.Own> templates = new HashMap<>();

  /** A text that is compared with: a question, or what a template itself says. */
  private record Said(Lesson lesson, boolean isQuestion) {}

  /** Begins with nothing learned. */
  public Suggester(Optional<Meaning> meaning) {
    this.meaning = meaning;
    this.meanings =
        new Meanings(
            meaning.map(one -> points(one, Everyday.TALK)).orElseGet(List::of),
            meaning.map(one -> points(one, SmallTalk.ALL)).orElseGet(List::of),
            meaning
                .map(
                    one -> CommonAsks.ALL.stream().map(ask -> points(one, ask.wordings())).toList())
                .orElseGet(List::of));
  }

  /**
   * What it compares with in every business: nobody's own words, so they may always be remembered.
   */
  public static List<String> fixedTexts() {
    return Stream.of(
            Everyday.TALK.stream(),
            SmallTalk.ALL.stream(),
            CommonAsks.ALL.stream().flatMap(ask -> ask.wordings().stream()))
        .flatMap(texts -> texts)
        .distinct()
        .toList();
  }

  private static List<float[]> points(Meaning meaning, List<String> texts) {
    return texts.stream().map(meaning::of).toList();
  }

  /** Takes in what a template says, without its placeholders. */
  public void know(long template, String title, String words) {
    String both = title + ". " + words;
    int first = add(List.of(title, words, both), new Lesson(0, template, ""), false);
    synchronized (this) {
      templates.put(template, new Compared.Own(first, first + 1, first + 2));
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

  private static int wordsIn(String said) {
    return (int) WORD.matcher(said).results().count();
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
    Scores scores = compared.isByMeaning() ? Scores.MEANING : Scores.LETTERS;
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
    for (Scored one : scored.subList(0, Math.min(WEIGHED, scored.size()))) {
      all += Math.exp(one.score() - best);
    }
    double first = Math.exp(scored.get(0).score() - best) / all;
    if (nothing / all >= NONE || first < FIRST) {
      return List.of();
    }
    double least = compared.isByMeaning() ? LEAST : LEAST_BY_LETTERS;
    List<Suggestion> shown = new ArrayList<>();
    for (Scored one : scored.subList(0, Math.min(MOST, scored.size()))) {
      double likelihood = Math.exp(one.score() - best) / all;
      if (likelihood >= least) {
        shown.add(new Suggestion(one.template(), likelihood, compared.similar(one.template())));
      }
    }
    return shown;
  }

  /**
   * What is known of each template and of "none of them" for a question. The model knows English
   * only: of what is said in another language, letters know more.
   */
  Compared compare(String asked, LongPredicate mayTell) {
    String words = cut(asked);
    Map<Integer, Integer> groups = LetterGroups.of(words);
    Optional<float[]> point =
        meaning.filter(one -> SmallWords.mayBeEnglish(words)).map(one -> one.of(words));
    synchronized (this) {
      float[] byLetters = letters.likeness(groups);
      Optional<Compared.ByMeaning> byMeaning = point.map(meanings::of);
      Compared compared = new Compared(wordsIn(words), byLetters, byMeaning);
      for (int i = 0; i < said.size(); i++) {
        Said one = said.get(i);
        boolean told = one.isQuestion() && mayTell.test(one.lesson().id());
        if (told) {
          compared.near(one.lesson().template(), i);
        }
        if (byMeaning.isPresent() && (told || !one.isQuestion())) {
          compared.knows(one.lesson().template(), meanings.point(i), meanings.about(i));
        }
      }
      templates.forEach(compared::own);
      return compared;
    }
  }
}
