package fabulum.core.sentence;

import fabulum.core.sentence.CustomerSentence.DetailIs;
import java.util.Optional;
import java.util.OptionalLong;

/**
 * Which conversations: every part narrows the choice further.
 *
 * @param line on this line
 * @param site on a line of this site
 * @param topic about this topic
 * @param called the customer's name, number or a detail contains this; blank for anybody
 * @param saying a text or note in it contains these words; blank for whatever was said
 * @param toIdentify nobody, or more than one, is known to hold the number
 * @param failed our last text was not delivered
 * @param unread the customer wrote last, and who asks has not read it
 * @param left so much working time is left; empty also for those who do not wait
 * @param days when the last text was
 * @param kind the customer is of this kind; blank for any
 * @param list the customer is on this customer list
 * @param detail the customer has this extra field
 */
public record Sentence(
    Whose whose,
    OptionalLong line,
    OptionalLong site,
    OptionalLong topic,
    String called,
    String saying,
    boolean toIdentify,
    boolean failed,
    boolean unread,
    Optional<Left> left,
    Optional<Days> days,
    String kind,
    OptionalLong list,
    Optional<DetailIs> detail) {

  /** The longest words that are sought. */
  public static final int LONGEST_WORDS = 80;

  /** Every conversation. */
  public static final Sentence EVERYTHING =
      new Sentence(
          Whose.EVERYONE,
          OptionalLong.empty(),
          OptionalLong.empty(),
          OptionalLong.empty(),
          "",
          "",
          false,
          false,
          false,
          Optional.empty(),
          Optional.empty(),
          "",
          OptionalLong.empty(),
          Optional.empty());

  public Sentence {
    called = called.strip();
    saying = saying.strip();
    kind = kind.strip();
    if (called.length() > LONGEST_WORDS
        || saying.length() > LONGEST_WORDS
        || kind.length() > LONGEST_WORDS) {
      throw new IllegalArgumentException("What is sought has at most 80 characters");
    }
  }

  /** A sentence that says nothing of what is on file of the customer. */
  public Sentence(
      Whose whose,
      OptionalLong line,
      OptionalLong site,
      OptionalLong topic,
      String called,
      String saying,
      boolean toIdentify,
      boolean failed,
      boolean unread,
      Optional<Left> left,
      Optional<Days> days) {
    this(
        whose,
        line,
        site,
        topic,
        called,
        saying,
        toIdentify,
        failed,
        unread,
        left,
        days,
        "",
        OptionalLong.empty(),
        Optional.empty());
  }

  /** The same sentence about customers of whom this is on file. */
  public Sentence ofCustomers(String ofKind, OptionalLong onList, Optional<DetailIs> with) {
    return new Sentence(
        whose,
        line,
        site,
        topic,
        called,
        saying,
        toIdentify,
        failed,
        unread,
        left,
        days,
        ofKind,
        onList,
        with);
  }

  /** Whether anything is said of what is on file of the customer. */
  public boolean asksForCustomer() {
    return !kind.isEmpty() || list.isPresent() || detail.isPresent();
  }

  /**
   * Whether the facts alone decide: neither words, nor time, nor what was read need to be looked
   * at.
   */
  public boolean asksForFactsOnly() {
    return !unread
        && !asksForCustomer()
        && called.isEmpty()
        && saying.isEmpty()
        && left.isEmpty()
        && days.isEmpty();
  }

  /**
   * Whether a conversation with these facts is meant, as far as the facts decide.
   *
   * @param me who asks
   */
  public boolean agreesWith(Facts facts, long me) {
    return agreesWithOwner(facts, me)
        && isOrAny(line, facts.line())
        && isOrAny(site, facts.site())
        && (topic.isEmpty() || facts.topics().contains(topic.getAsLong()))
        && (!toIdentify || facts.toIdentify())
        && (!failed || facts.failed());
  }

  private boolean agreesWithOwner(Facts facts, long me) {
    return switch (whose.kind()) {
      case EVERYONE -> true;
      case MINE -> is(facts.owner(), me) || (facts.owner().isEmpty() && is(facts.startedBy(), me));
      case NOBODY -> facts.owner().isEmpty();
      case TEAM -> facts.team() == whose.id();
      case COLLEAGUE -> is(facts.owner(), whose.id());
    };
  }

  private static boolean isOrAny(OptionalLong wanted, long value) {
    return wanted.isEmpty() || is(wanted, value);
  }

  private static boolean is(OptionalLong one, long other) {
    return one.isPresent() && one.getAsLong() == other;
  }

  /** The same sentence about another topic. */
  public Sentence about(long other) {
    return new Sentence(
        whose,
        line,
        site,
        OptionalLong.of(other),
        called,
        saying,
        toIdentify,
        failed,
        unread,
        left,
        days,
        kind,
        list,
        detail);
  }
}
