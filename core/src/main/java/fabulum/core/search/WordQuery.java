package fabulum.core.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;

/**
 * Words that are looked for. {@code lift "bilge pump" -storm dav*} asks for the word lift in any of
 * its forms, the two words bilge pump next to each other as they are written, and a word that
 * begins with dav, in a text without storm.
 *
 * @param any one of {@code sought} is enough; otherwise all of them
 * @param sought what a text has
 * @param without what it must not have
 * @param hints sentences for the person about what could not be understood as it was typed
 */
public record WordQuery(
    boolean any, List<Sought> sought, List<Sought> without, List<String> hints) {
  /** The most words that can be looked for. */
  public static final int MOST = 32;

  public WordQuery {
    sought = List.copyOf(sought);
    without = List.copyOf(without);
    hints = List.copyOf(hints);
  }

  /**
   * A word, or words next to each other.
   *
   * @param words one or more
   * @param exact as they are written; otherwise also in other forms
   */
  public record Sought(List<Word> words, boolean exact) {
    public Sought {
      words = List.copyOf(words);
      if (words.isEmpty()) {
        throw new IllegalArgumentException("Nothing is looked for");
      }
    }
  }

  /**
   * A word.
   *
   * @param plain as in {@link Term}
   * @param written as in {@link Term}
   * @param beginning words that begin so are meant
   */
  public record Word(String plain, String written, boolean beginning) {}

  /** Where in a text something stands, in UTF-16 units; {@code to} is exclusive. */
  public record Hit(int from, int to) {}

  /** Whether it asks for nothing, so every text fits. */
  public boolean isEmpty() {
    return sought.isEmpty() && without.isEmpty();
  }

  /** Reads what a person typed; what cannot be understood is left out and hinted at. */
  public static WordQuery read(String typed, boolean any) {
    return new Reading(typed).query(any);
  }

  /** The same with another word in place of one. */
  public WordQuery instead(Word word, Word other) {
    return new WordQuery(
        any,
        sought.stream()
            .map(one ->
                new Sought(
                    one.words().stream().map(each -> each.equals(word) ? other : each).toList(),
                    one.exact()))
            .toList(),
        without,
        hints);
  }

  /** Whether a text fits. */
  public boolean fits(List<Term> text, Stemmer stems) {
    if (without.stream().anyMatch(one -> !places(one, text, stems).isEmpty())) {
      return false;
    }
    return any
        ? sought.isEmpty() || sought.stream().anyMatch(one -> !places(one, text, stems).isEmpty())
        : sought.stream().noneMatch(one -> places(one, text, stems).isEmpty());
  }

  /** Where a text has what is looked for, in order and apart from each other. */
  public List<Hit> hits(List<Term> text, Stemmer stems) {
    List<Hit> all =
        sought.stream()
            .flatMap(one -> places(one, text, stems).stream())
            .sorted(Comparator.comparingInt(Hit::from).thenComparingInt(Hit::to))
            .toList();
    List<Hit> apart = new ArrayList<>();
    for (Hit hit : all) {
      Hit last = apart.isEmpty() ? null : apart.get(apart.size() - 1);
      if (last == null || hit.from() > last.to()) {
        apart.add(hit);
      } else if (hit.to() > last.to()) {
        apart.set(apart.size() - 1, new Hit(last.from(), hit.to()));
      }
    }
    return List.copyOf(apart);
  }

  private static List<Hit> places(Sought sought, List<Term> text, Stemmer stems) {
    List<Hit> found = new ArrayList<>();
    for (Term first : text) {
      if (is(sought, sought.words().get(0), first, stems)) {
        end(sought, first, text, stems).ifPresent(end -> found.add(new Hit(first.from(), end)));
      }
    }
    return found;
  }

  private static Optional<Integer> end(Sought sought, Term first, List<Term> text, Stemmer stems) {
    int end = first.to();
    for (int i = 1; i < sought.words().size(); i++) {
      Word word = sought.words().get(i);
      int position = first.position() + i;
      Optional<Term> next =
          text.stream()
              .filter(term -> term.position() == position)
              .filter(term -> is(sought, word, term, stems))
              .findFirst();
      if (next.isEmpty()) {
        return Optional.empty();
      }
      end = next.get().to();
    }
    return Optional.of(end);
  }

  private static boolean is(Sought sought, Word word, Term term, Stemmer stems) {
    if (term.plain().equals(word.plain())) {
      return true;
    }
    if (word.beginning()) {
      return term.plain().startsWith(word.plain());
    }
    return !sought.exact() && stems.areForms(word.written(), term.written());
  }

  /** What was typed, read from left to right. */
  private static final class Reading {
    private static final String TOO_MANY = "Only the first " + MOST + " words are looked for.";

    private final String typed;
    private final List<Sought> sought = new ArrayList<>();
    private final List<Sought> without = new ArrayList<>();
    private final List<String> hints = new ArrayList<>();

    Reading(String typed) {
      this.typed = typed.replaceAll("[\\u201c\\u201d\\u201e\\u00ab\\u00bb]", "\"");
    }

    WordQuery query(boolean any) {
      Matcher number = Terms.numbersIn(typed);
      boolean more = number.find();
      int at = 0;
      while (at < typed.length()) {
        char c = typed.charAt(at);
        if (c == ' ' || Character.isWhitespace(c)) {
          at++;
          continue;
        }
        boolean not = c == '-' && at + 1 < typed.length() && typed.charAt(at + 1) != ' ';
        int from = not ? at + 1 : at;
        while (more && number.start() < from) {
          more = number.find();
        }
        if (typed.charAt(from) == '"') {
          at = quoted(from, not);
        } else if (more && number.start() == from) {
          add(new Sought(List.of(word(Terms.number(number.group()))), true), not);
          at = number.end();
        } else {
          at = unquoted(from, not);
        }
      }
      if (sought.isEmpty() && !without.isEmpty()) {
        hints.add("Only words with a minus: everything without them is shown.");
      }
      return new WordQuery(any, sought, without, hints);
    }

    private int quoted(int from, boolean not) {
      int end = typed.indexOf('"', from + 1);
      if (end < 0) {
        hints.add("The quotation mark has no end, so all that follows it is one phrase.");
        end = typed.length();
      }
      List<Word> words = words(typed.substring(from + 1, end));
      if (!words.isEmpty()) {
        add(new Sought(words, true), not);
      }
      return end + 1;
    }

    private int unquoted(int from, boolean not) {
      int end = from;
      while (end < typed.length()
          && !Character.isWhitespace(typed.charAt(end))
          && typed.charAt(end) != '"') {
        end++;
      }
      String piece = typed.substring(from, end);
      boolean beginning = piece.endsWith("*");
      List<Word> words = words(piece);
      Optional<String> thousands = Terms.thousands(piece);
      if (thousands.isPresent()) {
        add(new Sought(List.of(word(thousands.get())), true), not);
      } else if (!words.isEmpty()) {
        Word first = words.get(0);
        boolean one = words.size() == 1;
        add(
            one
                ? new Sought(List.of(new Word(first.plain(), first.written(), beginning)), false)
                : new Sought(words, true),
            not);
      } else if (piece.contains("*")) {
        hints.add("A star stands after the beginning of a word, as in lift*.");
      }
      return Math.max(end, from + 1);
    }

    private void add(Sought one, boolean not) {
      if (sought.size() + without.size() < MOST) {
        (not ? without : sought).add(one);
      } else if (!hints.contains(TOO_MANY)) {
        hints.add(TOO_MANY);
      }
    }

    private static Word word(String plain) {
      return new Word(plain, plain, false);
    }

    /** Word by word; of a number in pieces its pieces. */
    private static List<Word> words(String piece) {
      Map<Integer, Word> words = new TreeMap<>();
      Terms.of(piece)
          .forEach(
              term -> words.put(term.position(), new Word(term.plain(), term.written(), false)));
      return new ArrayList<>(words.values());
    }
  }
}
