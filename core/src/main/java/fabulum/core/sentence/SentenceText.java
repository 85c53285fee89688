package fabulum.core.sentence;

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
import org.jspecify.annotations.Nullable;

/**
 * A sentence as text, as it stands in an address and in the database: parts between semicolons,
 * such as {@code mine; line 2; left ..30; saying bilge pump}. Nothing stands for everything. A
 * backslash before a semicolon or a backslash makes it an ordinary character. Every sentence is
 * read back from its text exactly.
 */
public final class SentenceText {
  /** Every kind of space, as a browser's {@code trim} knows them. */
  private static final Pattern SPACE = Pattern.compile("[\\s\\p{Z}\\uFEFF]");

  private static final Pattern ID = Pattern.compile("\\d{1,15}");
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
    return String.join("; ", parts);
  }

  private static void addWords(List<String> parts, String keyword, String words) {
    if (!words.isEmpty()) {
      parts.add(keyword + words.replace("\\", "\\\\").replace(";", "\\;"));
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
    for (String part : split(text)) {
      draft.add(part);
    }
    return draft.sentence();
  }

  private static List<String> split(String typed) {
    String text = SPACE.matcher(typed).replaceAll(" ");
    List<String> parts = new ArrayList<>();
    StringBuilder part = new StringBuilder();
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c == '\\' && i + 1 < text.length()) {
        part.append(text.charAt(++i));
      } else if (c == ';') {
        parts.add(part.toString().strip());
        part.setLength(0);
      } else {
        part.append(c);
      }
    }
    parts.add(part.toString().strip());
    parts.removeIf(String::isEmpty);
    return parts;
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
    TO
  }

  /** A sentence as it is read, part by part. */
  private static final class Draft {
    private final Map<About, String> parts = new EnumMap<>(About.class);

    void add(String part) {
      int seam = part.indexOf(' ');
      String word = seam < 0 ? part : part.substring(0, seam);
      if (parts.put(about(part, word), part) != null) {
        throw new IllegalArgumentException(
            "This part of the sentence is said twice: “" + part + "”.");
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
              default -> throw unreadable(part, null);
            };
      };
    }

    Sentence sentence() {
      return new Sentence(
          part(About.WHOSE, Draft::whose).orElse(Whose.EVERYONE),
          id(About.LINE),
          id(About.SITE),
          id(About.TOPIC),
          part(About.CALLED, Draft::words).orElse(""),
          part(About.SAYING, Draft::words).orElse(""),
          parts.containsKey(About.TO_IDENTIFY),
          parts.containsKey(About.FAILED),
          parts.containsKey(About.UNREAD),
          part(About.LEFT, Draft::left),
          days());
    }

    private <T> Optional<T> part(About about, Function<String, T> reading) {
      String part = parts.get(about);
      if (part == null) {
        return Optional.empty();
      }
      try {
        return Optional.of(reading.apply(part));
      } catch (DateTimeException | IllegalArgumentException cause) {
        throw unreadable(part, cause);
      }
    }

    private static IllegalArgumentException unreadable(String part, @Nullable Exception cause) {
      return new IllegalArgumentException(
          "This part of the sentence cannot be read: “" + part + "”.", cause);
    }

    private static String rest(String part) {
      return part.substring(part.indexOf(' ') + 1).strip();
    }

    private static Whose whose(String part) {
      return switch (part) {
        case "mine" -> Whose.MINE;
        case "nobody's" -> Whose.NOBODY;
        default ->
            part.startsWith("team ") ? Whose.team(number(part)) : Whose.colleague(number(part));
      };
    }

    private OptionalLong id(About about) {
      return part(about, Draft::number).map(OptionalLong::of).orElse(OptionalLong.empty());
    }

    private static Long number(String part) {
      String digits = rest(part);
      long id = ID.matcher(digits).matches() ? Long.parseLong(digits) : 0;
      if (id < 1) {
        throw new IllegalArgumentException("Nothing has this number");
      }
      return id;
    }

    private static String words(String part) {
      if (!part.contains(" ")) {
        throw new IllegalArgumentException("The words are missing");
      }
      return rest(part);
    }

    private static Left left(String part) {
      String[] ends = rest(part).split("\\.\\.", -1);
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
      Optional<Integer> last =
          part(About.LAST, part -> (int) Math.min(number(part), Integer.MAX_VALUE));
      Optional<LocalDate> from = part(About.FROM, part -> LocalDate.parse(rest(part)));
      Optional<LocalDate> to = part(About.TO, part -> LocalDate.parse(rest(part)));
      boolean any = last.isPresent() || from.isPresent() || to.isPresent();
      return any ? Optional.of(new Days(last, from, to)) : Optional.empty();
    }
  }
}
