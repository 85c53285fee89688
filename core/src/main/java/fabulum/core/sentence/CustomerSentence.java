package fabulum.core.sentence;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;

/**
 * Which customers: every part narrows the choice further.
 *
 * @param site of this site
 * @param kind of this kind of customer; blank for any
 * @param list on this customer list
 * @param detail with this extra field
 * @param heard when we last heard from them, in the zone of the business; empty for whenever
 * @param notHeard we have not heard from them for this number of days, 1 to 3660
 * @param agreement what they agreed to; empty for whatever
 * @param called their name, number, mail, details, notes or jobs contain these words; blank for any
 */
public record CustomerSentence(
    OptionalLong site,
    String kind,
    OptionalLong list,
    Optional<DetailIs> detail,
    Optional<Days> heard,
    Optional<Integer> notHeard,
    Optional<Agreed> agreement,
    String called) {

  private static final int MOST_DAYS = 3_660;

  /** Every customer. */
  public static final CustomerSentence EVERYONE =
      new CustomerSentence(
          OptionalLong.empty(),
          "",
          OptionalLong.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          "");

  public CustomerSentence {
    kind = kind.strip();
    called = called.strip();
    if (kind.length() > Sentence.LONGEST_WORDS || called.length() > Sentence.LONGEST_WORDS) {
      throw new IllegalArgumentException("What is sought has at most 80 characters");
    }
    if (notHeard.filter(days -> days < 1 || days > MOST_DAYS).isPresent()) {
      throw new IllegalArgumentException("Days are 1 to 3660");
    }
  }

  /**
   * An extra field.
   *
   * @param id which
   * @param words that it contains; blank for anything
   */
  public record DetailIs(long id, String words) {
    public DetailIs {
      words = words.strip();
      if (words.length() > Sentence.LONGEST_WORDS) {
        throw new IllegalArgumentException("What is sought has at most 80 characters");
      }
    }

    /** As it stands in a sentence. */
    String clause() {
      return ("detail " + id + " " + Clauses.quote(words)).strip();
    }

    /** Reads what {@link #clause()} wrote. */
    static DetailIs read(String clause) {
      String[] idAndWords = Clauses.rest(clause).split(" ", 2);
      return new DetailIs(
          Clauses.id("detail " + idAndWords[0]), idAndWords.length == 2 ? idAndWords[1] : "");
    }
  }

  /** What customers agreed to. */
  public enum Agreed {
    /** One of their numbers opted out. */
    OPTED_OUT("opted out"),
    /** One of their numbers agreed to news. */
    NEWS("agreed to news"),
    /** Nothing is known of any of their numbers. */
    NOT_SAID("agreement not known");

    private final String clause;

    Agreed(String clause) {
      this.clause = clause;
    }
  }

  /** The text of the sentence, as it stands in an address; what is left open is left out. */
  public String text() {
    List<String> clauses = new ArrayList<>();
    site.ifPresent(id -> clauses.add("site " + id));
    if (!kind.isEmpty()) {
      clauses.add("kind " + Clauses.quote(kind));
    }
    list.ifPresent(id -> clauses.add("list " + id));
    detail.ifPresent(
        is -> clauses.add(("detail " + is.id() + " " + Clauses.quote(is.words())).strip()));
    heard.ifPresent(days -> clauses.addAll(ReadClauses.clauses(days)));
    notHeard.ifPresent(days -> clauses.add("silent " + days));
    agreement.ifPresent(agreed -> clauses.add(agreed.clause));
    if (!called.isEmpty()) {
      clauses.add("called " + Clauses.quote(called));
    }
    return String.join("; ", clauses);
  }

  /**
   * Reads a sentence.
   *
   * @throws IllegalArgumentException with a sentence that names the part that cannot be read
   */
  public static CustomerSentence read(String text) {
    ReadClauses draft = ReadClauses.read(text, PARTS, CustomerSentence::about);
    return new CustomerSentence(
        draft.id("site"),
        draft.part("kind", Clauses::words).orElse(""),
        draft.id("list"),
        draft.part("detail", DetailIs::read),
        draft.days(),
        draft.part("silent", CustomerSentence::count),
        draft.part("agreement", clause -> agreed(clause).orElseThrow()),
        draft.part("called", Clauses::words).orElse(""));
  }

  private static final List<String> PARTS =
      List.of(
          "site", "kind", "list", "detail", "last", "from", "to", "silent", "agreement", "called");

  private static String about(String clause) {
    return agreed(clause).isPresent() ? "agreement" : ReadClauses.firstWord(clause);
  }

  private static Optional<Agreed> agreed(String clause) {
    return List.of(Agreed.values()).stream().filter(one -> one.clause.equals(clause)).findFirst();
  }

  private static Integer count(String clause) {
    Integer days = Clauses.days(clause);
    if (days > MOST_DAYS) {
      throw new IllegalArgumentException("Days are 1 to 3660");
    }
    return days;
  }
}
