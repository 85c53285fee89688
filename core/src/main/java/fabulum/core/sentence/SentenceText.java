package fabulum.core.sentence;

import fabulum.core.sentence.CustomerSentence.DetailIs;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * A sentence as text, as it stands in an address and in the database: parts between semicolons,
 * such as {@code mine; line 2; left ..30; saying bilge pump}. Nothing stands for everything. A
 * backslash before a semicolon or a backslash makes it an ordinary character. Every sentence is
 * read back from its text exactly.
 */
public final class SentenceText {
  private static final Pattern MINUTES = Pattern.compile("-?\\d{1,7}");
  private static final List<String> FLAGS = List.of("to identify", "not delivered");
  private static final List<String> PARTS =
      List.of(
          "whose",
          "line",
          "site",
          "topic",
          "called",
          "saying",
          "to identify",
          "not delivered",
          "unread",
          "left",
          "last",
          "from",
          "to",
          "kind",
          "list",
          "detail");

  private SentenceText() {}

  /** The text of a sentence; what is left open is left out. */
  public static String write(Sentence sentence) {
    List<String> parts = new ArrayList<>();
    switch (sentence.whose().kind()) {
      case EVERYONE -> {}
      case MINE -> parts.add("mine");
      case NOBODY -> parts.add("nobody's");
      case TEAM -> parts.add("team " + sentence.whose().id());
      case COLLEAGUE -> parts.add("colleague " + sentence.whose().id());
    }
    sentence.line().ifPresent(id -> parts.add("line " + id));
    sentence.site().ifPresent(id -> parts.add("site " + id));
    sentence.topic().ifPresent(id -> parts.add("topic " + id));
    addWords(parts, "called ", sentence.called());
    addWords(parts, "saying ", sentence.saying());
    if (sentence.toIdentify()) {
      parts.add("to identify");
    }
    if (sentence.failed()) {
      parts.add("not delivered");
    }
    if (sentence.unread()) {
      parts.add("unread");
    }
    sentence
        .left()
        .ifPresent(left -> parts.add("left " + minutes(left.from()) + ".." + minutes(left.to())));
    sentence.days().ifPresent(days -> parts.addAll(ReadClauses.clauses(days)));
    addWords(parts, "kind ", sentence.kind());
    sentence.list().ifPresent(id -> parts.add("list " + id));
    sentence.detail().ifPresent(is -> parts.add(is.clause()));
    return String.join("; ", parts);
  }

  private static void addWords(List<String> parts, String keyword, String words) {
    if (!words.isEmpty()) {
      parts.add(keyword + Clauses.quote(words));
    }
  }

  private static String minutes(Optional<Duration> end) {
    return end.map(time -> Long.toString(time.toMinutes())).orElse("");
  }

  /**
   * Reads a sentence.
   *
   * @throws IllegalArgumentException with a sentence that names the part that cannot be read
   */
  public static Sentence read(String text) {
    ReadClauses draft = ReadClauses.read(text, PARTS, SentenceText::about);
    return new Sentence(
        draft.part("whose", SentenceText::whose).orElse(Whose.EVERYONE),
        draft.id("line"),
        draft.id("site"),
        draft.id("topic"),
        draft.words("called"),
        draft.words("saying"),
        draft.says("to identify"),
        draft.says("not delivered"),
        draft.says("unread"),
        draft.part("left", SentenceText::left),
        draft.days(),
        draft.words("kind"),
        draft.id("list"),
        draft.part("detail", DetailIs::read));
  }

  private static String about(String clause) {
    String word = ReadClauses.firstWord(clause);
    return switch (word) {
      case "mine", "nobody's" -> word.equals(clause) ? "whose" : clause;
      case "team", "colleague" -> "whose";
      case "unread" -> clause;
      case "to", "not" -> FLAGS.contains(clause) ? clause : word;
      default -> word;
    };
  }

  private static Whose whose(String part) {
    return switch (part) {
      case "mine" -> Whose.MINE;
      case "nobody's" -> Whose.NOBODY;
      default ->
          part.startsWith("team ")
              ? Whose.team(Clauses.id(part))
              : Whose.colleague(Clauses.id(part));
    };
  }

  private static Left left(String part) {
    String[] ends = Clauses.rest(part).split("\\.\\.", -1);
    if (ends.length != 2) {
      throw new IllegalArgumentException("A span has two ends");
    }
    return new Left(end(ends[0]), end(ends[1]));
  }

  private static Optional<Duration> end(String minutes) {
    if (minutes.isEmpty()) {
      return Optional.empty();
    }
    if (!MINUTES.matcher(minutes).matches()) {
      throw new IllegalArgumentException("Minutes are digits");
    }
    return Optional.of(Duration.ofMinutes(Integer.parseInt(minutes)));
  }
}
