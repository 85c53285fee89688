package fabulum.core.sentence;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;

/**
 * Which figures: of what, where, when, and in which rows.
 *
 * @param subject what they are of
 * @param line on this line
 * @param site on the lines of this site
 * @param team on the lines of this team
 * @param person of what this colleague did
 * @param topic in conversations about this topic at that time
 * @param days on which days; empty for the last four weeks
 * @param rows one row for each of these, one the subject can be split by; empty for by day, or for
 *     the only ones there are
 */
public record ReportSentence(
    Subject subject,
    OptionalLong line,
    OptionalLong site,
    OptionalLong team,
    OptionalLong person,
    OptionalLong topic,
    Optional<Days> days,
    Optional<By> rows) {
  /** Unless said otherwise: four weeks with today. */
  public static final Days USUAL = Days.last(28);

  private static final List<String> PARTS =
      List.of("subject", "line", "site", "team", "person", "topic", "last", "from", "to", "by");
  private static final Set<By> TIMES = Set.of(By.DAY, By.WEEK, By.MONTH);

  public ReportSentence {
    rows.filter(by -> !subject.splits().contains(by))
        .ifPresent(by -> {
          throw new IllegalArgumentException(
              "The figures of “" + subject.clause + "” have no rows by " + by.clause);
        });
    if (person.isPresent() && !subject.ofPeople) {
      throw new IllegalArgumentException(
          "The figures of “" + subject.clause + "” are not of one person");
    }
    if (topic.isPresent() && !subject.ofTopics) {
      throw new IllegalArgumentException(
          "The figures of “" + subject.clause + "” are not of one topic");
    }
  }

  /** One row for each. */
  public enum By {
    DAY("day"),
    /** Weeks from Monday to Sunday (ISO 8601). */
    WEEK("week"),
    MONTH("month"),
    /** Hours of the day, 0 to 23. */
    HOUR("hour"),
    LINE("line"),
    SITE("site"),
    TEAM("team"),
    TOPIC("topic"),
    PERSON("person"),
    /** Kinds of texts that cost something. */
    KIND("kind"),
    /** Reasons why texts did not arrive. */
    REASON("reason");

    private final String clause;

    By(String clause) {
      this.clause = clause;
    }

    /** Whether the rows follow each other in time. */
    public boolean isTime() {
      return TIMES.contains(this);
    }
  }

  /** What figures are of. */
  public enum Subject {
    /** How long every answer took, in working time. */
    ANSWERS("answer times", true, true),
    /** How long the first answer took since a conversation was opened. */
    FIRST_ANSWERS("first answers", true, true),
    /** How long it took until a conversation was done. */
    DONE("time to done", true, true),
    /** Texts in and out. */
    TEXTS("texts", false, true),
    /** New numbers, and how long it took to say who writes. */
    UNKNOWN("unknown numbers", false, false),
    NOT_DELIVERED("texts not delivered", false, false),
    COST("costs", true, false),
    /** When in the week customers wait, and how long. */
    WAITS("waits", false, false),
    /** What each colleague did. */
    PEOPLE("people", true, false);

    private final String clause;
    private final boolean ofPeople;
    private final boolean ofTopics;

    Subject(String clause, boolean ofPeople, boolean ofTopics) {
      this.clause = clause;
      this.ofPeople = ofPeople;
      this.ofTopics = ofTopics;
    }

    /** As the sentence names it. */
    public String clause() {
      return clause;
    }

    /** What its rows can be. */
    public Set<By> splits() {
      return switch (this) {
        case ANSWERS, FIRST_ANSWERS, DONE ->
            Set.of(By.DAY, By.WEEK, By.MONTH, By.LINE, By.SITE, By.TEAM, By.TOPIC, By.PERSON);
        case TEXTS ->
            Set.of(By.HOUR, By.DAY, By.WEEK, By.MONTH, By.LINE, By.SITE, By.TEAM, By.TOPIC);
        case UNKNOWN -> Set.of(By.DAY, By.WEEK, By.MONTH, By.LINE, By.SITE, By.TEAM);
        case NOT_DELIVERED ->
            Set.of(By.REASON, By.DAY, By.WEEK, By.MONTH, By.LINE, By.SITE, By.TEAM);
        case COST ->
            Set.of(By.DAY, By.WEEK, By.MONTH, By.LINE, By.SITE, By.TEAM, By.PERSON, By.KIND);
        case PEOPLE -> Set.of(By.PERSON);
        case WAITS -> Set.of(By.HOUR);
      };
    }
  }

  /** The first date that counts; empty for from the beginning. */
  public Optional<LocalDate> first(LocalDate today) {
    return days.orElse(USUAL).first(today);
  }

  /** The last date that counts, today at most. */
  public LocalDate last(LocalDate today) {
    return days.flatMap(Days::to).filter(today::isAfter).orElse(today);
  }

  /** One row for each of these. */
  public By by() {
    By usual = subject.splits().contains(By.DAY) ? By.DAY : subject.splits().iterator().next();
    return rows.orElse(usual);
  }

  /** The text of the sentence, as it stands in an address; what is left open is left out. */
  public String text() {
    List<String> clauses = new ArrayList<>();
    if (subject != Subject.ANSWERS) {
      clauses.add(subject.clause);
    }
    line.ifPresent(id -> clauses.add("line " + id));
    days.ifPresent(some -> clauses.addAll(ReadClauses.clauses(some)));
    rows.ifPresent(by -> clauses.add("by " + by.clause));
    site.ifPresent(id -> clauses.add("site " + id));
    team.ifPresent(id -> clauses.add("team " + id));
    person.ifPresent(id -> clauses.add("person " + id));
    topic.ifPresent(id -> clauses.add("topic " + id));
    return String.join("; ", clauses);
  }

  /**
   * Reads a sentence: {@code time to done; last 28; by topic; team 2}.
   *
   * @throws IllegalArgumentException with a sentence that names the part that cannot be read
   */
  public static ReportSentence read(String text) {
    ReadClauses draft = ReadClauses.read(text, PARTS, ReportSentence::about);
    Subject subject =
        draft.part("subject", clause -> subject(clause).orElseThrow()).orElse(Subject.ANSWERS);
    return new ReportSentence(
        subject,
        draft.id("line"),
        draft.id("site"),
        draft.id("team"),
        draft.id("person"),
        draft.id("topic"),
        draft.days(),
        draft.part("by", ReportSentence::by));
  }

  private static String about(String clause) {
    return subject(clause).isPresent() ? "subject" : ReadClauses.firstWord(clause);
  }

  private static Optional<Subject> subject(String clause) {
    return Arrays.stream(Subject.values())
        .filter(subject -> subject.clause.equals(clause))
        .findFirst();
  }

  private static By by(String clause) {
    String said = Clauses.rest(clause);
    return Arrays.stream(By.values())
        .filter(one -> one.clause.equals(said))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("Figures have no such rows"));
  }
}
