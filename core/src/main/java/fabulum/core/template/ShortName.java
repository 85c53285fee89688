package fabulum.core.template;

import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * What is typed, with Tab behind it, for a template: letters, digits and hyphens.
 *
 * @param word in lower case, {@value #SHORTEST} to {@value #LONGEST} characters
 */
public record ShortName(String word) {
  /** Fewer would be met by chance. */
  public static final int SHORTEST = 2;

  /** More are not shorter than looking for it. */
  public static final int LONGEST = 24;

  private static final Pattern FORM =
      Pattern.compile("[\\p{Ll}\\p{Lo}\\p{Nd}]+(-[\\p{Ll}\\p{Lo}\\p{Nd}]+)*");

  /** Words that people end a line with before they press Tab; a template may not stand for one. */
  private static final Set<String> TYPED =
      Set.of(
          "a",
          "about",
          "after",
          "all",
          "also",
          "am",
          "an",
          "and",
          "any",
          "are",
          "as",
          "at",
          "back",
          "be",
          "been",
          "best",
          "but",
          "by",
          "bye",
          "call",
          "can",
          "could",
          "day",
          "did",
          "do",
          "for",
          "free",
          "from",
          "get",
          "go",
          "good",
          "great",
          "had",
          "has",
          "have",
          "he",
          "hello",
          "her",
          "here",
          "hi",
          "him",
          "his",
          "how",
          "i",
          "if",
          "in",
          "is",
          "it",
          "just",
          "know",
          "let",
          "like",
          "me",
          "more",
          "much",
          "my",
          "new",
          "no",
          "not",
          "now",
          "of",
          "off",
          "ok",
          "okay",
          "on",
          "one",
          "or",
          "our",
          "out",
          "please",
          "right",
          "see",
          "she",
          "so",
          "soon",
          "sorry",
          "sure",
          "thank",
          "thanks",
          "that",
          "the",
          "their",
          "them",
          "then",
          "there",
          "they",
          "this",
          "time",
          "to",
          "today",
          "tomorrow",
          "too",
          "until",
          "up",
          "us",
          "was",
          "we",
          "well",
          "were",
          "what",
          "when",
          "where",
          "which",
          "who",
          "why",
          "will",
          "with",
          "work",
          "would",
          "yes",
          "you",
          "your");

  public ShortName {
    if (problem(word).isPresent()) {
      throw new IllegalArgumentException("Not a short name");
    }
  }

  /** Reads what was typed; the case does not matter. */
  public static String plain(String typed) {
    return typed.strip().toLowerCase(Locale.ROOT);
  }

  /** What is wrong with a short name; empty when it is one. */
  public static Optional<String> problem(String word) {
    if (word.length() < SHORTEST || word.length() > LONGEST || !FORM.matcher(word).matches()) {
      return Optional.of(
          "A short name has %d to %d letters, digits or hyphens.".formatted(SHORTEST, LONGEST));
    }
    return TYPED.contains(word)
        ? Optional.of("People type “" + word + "” as a word. Please choose another short name.")
        : Optional.empty();
  }
}
