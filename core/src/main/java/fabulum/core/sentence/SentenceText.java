package fabulum.core.sentence;

import fabulum.core.sentence.CustomerSentence.DetailIs;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Function;
import java.util.regex.Pattern;

/**
 * A sentence as text, as it stands in an address and in the database: parts between semicolons,
 * such as {@code mine; line 2; left ..30; saying bilge pump}. Nothing stands for everything. A
 * backslash before a semicolon or a backslash makes it an ordinary character. Every sentence is
 * read back from its text exactly.
 */
public final class SentenceText {
  private static final Pattern MINUTES = Pattern.compile("-?\\d{1,7}");

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
    sentence.days().ifPresent(days -> addDays(parts, days));
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

  private static void addDays(List<String> parts, Days days) {
    days.last().ifPresent(count -> parts.add("last " + count));
    days.from().ifPresent(date -> parts.add("from " + date));
    days.to().ifPresent(date -> parts.add("to " + date));
  }

  /**
   * Reads a sentence.
   *
   * @throws IllegalArgumentException with a sentence that names the part that cannot be read
   */
  public static Sentence read(String text) {
    Draft draft = new Draft();
    for (String part : Clauses.split(text)) {
      draft.add(part);
    }
    return draft.sentence();
  }

  /** What a part of a sentence is about. */
  private enum About {
    WHOSE,
    LINE,
    SITE,
    TOPIC,
    CALLED,
    SAYING,
    TO_IDENTIFY,
    FAILED,
    UNREAD,
    LEFT,
    LAST,
    FROM,
    TO,
    KIND,
    LIST,
    DETAIL
  }

  /** A sentence as it is read, part by part. */
  private static final class Draft {
    private final Map<About, String> parts = new EnumMap<>(About.class);

    void add(String part) {
      int seam = part.indexOf(' ');
      String word = seam < 0 ? part : part.substring(0, seam);
      if (parts.put(about(part, word), part) != null) {
        throw Clauses.saidTwice(part);
      }
    }

    private static About about(String part, String word) {
      return switch (part) {
        case "mine", "nobody's" -> About.WHOSE;
        case "to identify" -> About.TO_IDENTIFY;
        case "not delivered" -> About.FAILED;
        case "unread" -> About.UNREAD;
        default ->
            switch (word) {
              case "team", "colleague" -> About.WHOSE;
              case "line" -> About.LINE;
              case "site" -> About.SITE;
              case "topic" -> About.TOPIC;
              case "called" -> About.CALLED;
              case "saying" -> About.SAYING;
              case "left" -> About.LEFT;
              case "last" -> About.LAST;
              case "from" -> About.FROM;
              case "to" -> About.TO;
              case "kind" -> About.KIND;
              case "list" -> About.LIST;
              case "detail" -> About.DETAIL;
              default -> throw Clauses.unreadable(part, null);
            };
      };
    }

    Sentence sentence() {
      return new Sentence(
          part(About.WHOSE, Draft::whose).orElse(Whose.EVERYONE),
          id(About.LINE),
          id(About.SITE),
          id(About.TOPIC),
          part(About.CALLED, Clauses::words).orElse(""),
          part(About.SAYING, Clauses::words).orElse(""),
          parts.containsKey(About.TO_IDENTIFY),
          parts.containsKey(About.FAILED),
          parts.containsKey(About.UNREAD),
          part(About.LEFT, Draft::left),
          days(),
          part(About.KIND, Clauses::words).orElse(""),
          id(About.LIST),
          part(About.DETAIL, DetailIs::read));
    }

    private <T> Optional<T> part(About about, Function<String, T> reading) {
      String part = parts.get(about);
      if (part == null) {
        return Optional.empty();
      }
      try {
        return Optional.of(reading.apply(part));
      } catch (DateTimeException | IllegalArgumentException cause) {
        throw Clauses.unreadable(part, cause);
      }
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

    private OptionalLong id(About about) {
      return part(about, Clauses::id).map(OptionalLong::of).orElse(OptionalLong.empty());
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

    private Optional<Days> days() {
      Optional<Integer> last = part(About.LAST, Clauses::days);
      Optional<LocalDate> from = part(About.FROM, Clauses::date);
      Optional<LocalDate> to = part(About.TO, Clauses::date);
      boolean any = last.isPresent() || from.isPresent() || to.isPresent();
      return any ? Optional.of(new Days(last, from, to)) : Optional.empty();
    }
  }
}
