package fabulum.core.imports;

/**
 * What a column of a file is about.
 *
 * @param detail which extra field; 0 for {@linkplain What others}
 */
public record Target(What what, long detail) {

  /** Kinds of content. */
  public enum What {
    NOTHING,
    NAME,
    FIRST_NAME,
    LAST_NAME,
    NUMBER,
    EMAIL,
    SITE,
    KIND,
    OUTSIDE_ID,
    /** Of the customer, where it is not the business's own. */
    LANGUAGE,
    CONTACT,
    NOTE,
    DETAIL,
    /** How another program names the customer, where the row itself is about something else. */
    CUSTOMER_ID,
    JOB_NUMBER,
    /** What is agreed, or what is to be done. */
    WHAT,
    /** How far a job is, in a few words. */
    STANDING,
    STATE,
    PLACE,
    STARTS,
    ENDS,
    OPENED,
    CLOSED,
    /** Our line, by its name or number. */
    LINE,
    AT,
    /** Whether a text was received or sent. */
    DIRECTION,
    WORDS,
    /** Who wrote a text of ours. */
    AUTHOR
  }

  /** A column that is left out. */
  public static final Target NOTHING = of(What.NOTHING);

  /** What is no extra field. */
  public static Target of(What what) {
    return new Target(what, 0);
  }

  /** An extra field. */
  public static Target detail(long id) {
    return new Target(What.DETAIL, id);
  }

  /** As callers and the database have it: {@code NAME}, {@code DETAIL 3}. */
  public String text() {
    return what == What.DETAIL ? "DETAIL " + detail : what.name();
  }

  /**
   * Reads what {@link #text()} wrote.
   *
   * @throws IllegalArgumentException for anything else
   */
  public static Target read(String text) {
    return text.startsWith("DETAIL ")
        ? detail(Long.parseLong(text.substring("DETAIL ".length())))
        : of(What.valueOf(text));
  }
}
