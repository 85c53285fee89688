package fabulum.core.sentence;

import fabulum.core.delivery.DeliveryState;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;

/**
 * Which of all that was said: every part narrows the choice further.
 *
 * @param what kinds of entries
 * @param line on this line
 * @param site on a line of this site
 * @param team on a line of this team
 * @param conversation in this one
 * @param customer with this customer
 * @param called the customer's name or number contains this; blank for anybody
 * @param by written or done by this colleague
 * @param origin by a person or by the program
 * @param state how far a text of ours has come
 * @param attached with an attachment
 * @param topic in a conversation about this topic
 * @param when on which days
 * @param match how the words are meant
 * @param mention words that are looked for, as a {@link fabulum.core.search.WordQuery} reads them;
 *     what a text means when that is looked for
 */
public record HistorySentence(
    What what,
    OptionalLong line,
    OptionalLong site,
    OptionalLong team,
    OptionalLong conversation,
    OptionalLong customer,
    String called,
    OptionalLong by,
    Optional<Origin> origin,
    Optional<DeliveryState> state,
    boolean attached,
    OptionalLong topic,
    When when,
    Match match,
    String mention) {

  /** The longest words that are looked for. */
  public static final int LONGEST_MENTION = 300;

  private static final List<String> PARTS =
      List.of(
          "what",
          "line",
          "site",
          "team",
          "conversation",
          "customer",
          "called",
          "by",
          "origin",
          "state",
          "attached",
          "topic",
          "ever",
          "last",
          "from",
          "to",
          "match",
          "mention");

  public HistorySentence {
    called = called.strip();
    mention = mention.strip();
    if (called.length() > Sentence.LONGEST_WORDS) {
      throw new IllegalArgumentException("A name or number has at most 80 characters");
    }
    if (mention.length() > LONGEST_MENTION) {
      throw new IllegalArgumentException("Words have at most 300 characters");
    }
  }

  /** Kinds of entries. */
  public enum What {
    /** Texts, sent and received. */
    TEXTS(""),
    SENT("sent"),
    RECEIVED("received"),
    NOTES("notes"),
    EVENTS("events"),
    /** Texts, notes and events. */
    EVERYTHING("everything");

    private final String clause;

    What(String clause) {
      this.clause = clause;
    }
  }

  /** Who stands behind an entry. */
  public enum Origin {
    PERSON("by a person"),
    PROGRAM("automatic");

    private final String clause;

    Origin(String clause) {
      this.clause = clause;
    }
  }

  /** How words are looked for. */
  public enum Match {
    /** A text has all of them. */
    ALL(""),
    /** It has one of them. */
    ANY("any"),
    /** It means about what they mean, in whatever words. */
    MEANING("alike");

    private final String clause;

    Match(String clause) {
      this.clause = clause;
    }
  }

  /**
   * On which days.
   *
   * @param ever whenever it was
   * @param days those; empty for since the Monday before last
   */
  public record When(boolean ever, Optional<Days> days) {
    /** Unless said otherwise: since the Monday before last. */
    public static final When USUAL = new When(false, Optional.empty());

    /** Whenever it was. */
    public static final When EVER = new When(true, Optional.empty());

    public When {
      if (ever && days.isPresent()) {
        throw new IllegalArgumentException("Whenever it was, or on some days");
      }
    }

    /** The first date that counts; empty for from the beginning. */
    public Optional<LocalDate> first(LocalDate today) {
      if (ever) {
        return Optional.empty();
      }
      return days.isPresent() ? days.get().first(today) : Optional.of(mondayBeforeLast(today));
    }

    /** The last date that counts; empty for until now. */
    public Optional<LocalDate> last() {
      return days.flatMap(Days::to);
    }

    /** The Monday a week before this week's: on Wednesday 10 June 2026 it is 1 June. */
    private static LocalDate mondayBeforeLast(LocalDate today) {
      return today.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)).minusWeeks(1);
    }
  }

  /** The text of the sentence, as it stands in an address; what is left open is left out. */
  public String text() {
    List<String> clauses = new ArrayList<>();
    clauses.add(what.clause);
    line.ifPresent(id -> clauses.add("line " + id));
    clauses.add(when.ever() ? "ever" : "");
    when.days().ifPresent(days -> clauses.addAll(ReadClauses.clauses(days)));
    site.ifPresent(id -> clauses.add("site " + id));
    team.ifPresent(id -> clauses.add("team " + id));
    conversation.ifPresent(id -> clauses.add("conversation " + id));
    customer.ifPresent(id -> clauses.add("customer " + id));
    addWords(clauses, "called ", called);
    by.ifPresent(id -> clauses.add("by " + id));
    origin.ifPresent(one -> clauses.add(one.clause));
    state.ifPresent(one -> clauses.add("state " + said(one)));
    clauses.add(attached ? "with attachment" : "");
    topic.ifPresent(id -> clauses.add("topic " + id));
    clauses.add(match.clause);
    addWords(clauses, "mention ", mention);
    clauses.removeIf(String::isEmpty);
    return String.join("; ", clauses);
  }

  private static void addWords(List<String> clauses, String keyword, String words) {
    if (!words.isEmpty()) {
      clauses.add(keyword + Clauses.quote(words));
    }
  }

  /**
   * Reads a sentence.
   *
   * @throws IllegalArgumentException with a sentence that names the part that cannot be read
   */
  public static HistorySentence read(String text) {
    ReadClauses draft = ReadClauses.read(text, PARTS, HistorySentence::about);
    return new HistorySentence(
        draft.part("what", clause -> what(clause).orElseThrow()).orElse(What.TEXTS),
        draft.id("line"),
        draft.id("site"),
        draft.id("team"),
        draft.id("conversation"),
        draft.id("customer"),
        draft.words("called"),
        draft.id("by"),
        draft.part("origin", clause -> origin(clause).orElseThrow()),
        draft.part("state", HistorySentence::state),
        draft.says("attached"),
        draft.id("topic"),
        new When(draft.says("ever"), draft.days()),
        draft.part("match", clause -> match(clause).orElseThrow()).orElse(Match.ALL),
        draft.words("mention"));
  }

  private static String about(String clause) {
    if (what(clause).isPresent()) {
      return "what";
    }
    if (origin(clause).isPresent()) {
      return "origin";
    }
    if (clause.equals("with attachment")) {
      return "attached";
    }
    if (match(clause).isPresent()) {
      return "match";
    }
    String word = ReadClauses.firstWord(clause);
    boolean bare = word.equals(clause);
    return word.equals("ever") == bare ? word : clause;
  }

  private static Optional<What> what(String clause) {
    return Arrays.stream(What.values())
        .filter(one -> !one.clause.isEmpty() && one.clause.equals(clause))
        .findFirst();
  }

  private static Optional<Origin> origin(String clause) {
    return Arrays.stream(Origin.values()).filter(one -> one.clause.equals(clause)).findFirst();
  }

  private static Optional<Match> match(String clause) {
    return Arrays.stream(Match.values())
        .filter(one -> !one.clause.isEmpty() && one.clause.equals(clause))
        .findFirst();
  }

  private static DeliveryState state(String clause) {
    String said = Clauses.rest(clause);
    return Arrays.stream(DeliveryState.values())
        .filter(state -> said(state).equals(said))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("No text is in this state"));
  }

  private static String said(DeliveryState state) {
    return state.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }
}
