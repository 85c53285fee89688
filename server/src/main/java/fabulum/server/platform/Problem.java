package fabulum.server.platform;

import java.util.List;
import java.util.function.Supplier;

/**
 * A request that cannot be carried out, with what a person needs to know. Becomes a problem
 * document of RFC 9457.
 */
public final class Problem extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final Kind kind;
  private final transient List<FieldProblem> fields;

  private Problem(Kind kind, String sentence, List<FieldProblem> fields) {
    super(sentence);
    this.kind = kind;
    this.fields = List.copyOf(fields);
  }

  /** What is asked for is not there, or not for this person to see. */
  public static Problem notFound(String what) {
    return new Problem(
        Kind.NOT_FOUND, "This " + what + " does not exist, or you cannot see it.", List.of());
  }

  /** This person may not. */
  public static Problem notAllowed(String sentence) {
    return new Problem(Kind.NOT_ALLOWED, sentence, List.of());
  }

  /** It would break what another person did, or a rule of the business. */
  public static Problem conflict(Kind kind, String sentence) {
    return new Problem(kind, sentence, List.of());
  }

  /** Another person has changed it since it was read here. */
  public static Problem changedMeanwhile(String what) {
    return new Problem(
        Kind.CHANGED_MEANWHILE,
        "A colleague has changed this "
            + what
            + " in the meantime; the change log shows what. Your changes are kept here but not saved yet: check them and save again.",
        List.of());
  }

  /** Fields that cannot be so, all at once. */
  public static Problem fields(List<FieldProblem> fields) {
    return new Problem(Kind.BAD_FIELDS, fields.get(0).why(), fields);
  }

  /**
   * What somebody sent, read; where it cannot be read, the reason is told of its field.
   *
   * @param read throws IllegalArgumentException, with a sentence, where it cannot be read
   */
  public static <T> T reading(String field, Supplier<T> read) {
    try {
      return read.get();
    } catch (IllegalArgumentException unreadable) {
      throw fields(List.of(new FieldProblem(field, String.valueOf(unreadable.getMessage()))));
    }
  }

  /**
   * Reasons that speak against something.
   *
   * @param reasons their codes and sentences; at least one
   * @param kept what was not done and what is kept, as a sentence
   */
  public static Problem reasons(Kind kind, List<FieldProblem> reasons, String kept) {
    return new Problem(kind, reasons.get(0).why() + " " + kept, reasons);
  }

  /** Which kind it is. */
  public Kind kind() {
    return kind;
  }

  /** Bad fields and why; empty when no field is to blame. */
  public List<FieldProblem> fields() {
    return fields;
  }

  /** A field that cannot be so. */
  public record FieldProblem(String field, String why) {}

  /** Kinds of problem: each has a stable name that callers may rely on, and its HTTP status. */
  public enum Kind {
    NOT_FOUND("not-found", 404, "Not found"),
    BAD_FIELDS("bad-fields", 422, "Please check the marked fields"),
    UNREADABLE("unreadable", 400, "The request could not be read"),
    NOT_SIGNED_IN("not-signed-in", 401, "Not signed in"),
    WRONG_PASSWORD("wrong-password", 401, "Wrong name or password"),
    TOO_MANY_TRIES("too-many-tries", 429, "Too many tries"),
    PASSWORD_CHANGE_NEEDED("password-change-needed", 403, "Choose your own password first"),
    NOT_ALLOWED("not-allowed", 403, "Not allowed"),
    STALE_PAGE("stale-page", 403, "This page is out of date"),
    MAY_NOT_BE_SENT("may-not-be-sent", 422, "The text may not be sent"),
    NEEDS_CONFIRMATION("needs-confirmation", 409, "Please confirm before this is sent"),
    LOOKS_DIFFERENT("looks-different", 409, "It looks different by now"),
    SENT_WITH_OTHER_WORDS("sent-with-other-words", 409, "Sent with other words"),
    ANSWERED_MEANWHILE("answered-meanwhile", 409, "A colleague answered meanwhile"),
    NEW_MEANWHILE("new-meanwhile", 409, "Something new came in meanwhile"),
    TAKEN_MEANWHILE("taken-meanwhile", 409, "Taken meanwhile"),
    LAST_LEAD("last-lead", 409, "The last lead"),
    ENDED("ended", 410, "It has ended"),
    NOT_OPEN("not-open", 409, "Not open"),
    CHANGED_MEANWHILE("changed-meanwhile", 409, "Changed meanwhile"),
    TOO_LATE("too-late", 409, "Too late to undo"),
    BAD_SIGNATURE("bad-signature", 401, "The signature does not fit"),
    STALE_TIMESTAMP("stale-timestamp", 401, "The timestamp is too old or ahead"),
    UNKNOWN_LINE("unknown-line", 404, "No such line"),
    UNKNOWN_TEXT("unknown-text", 404, "No such text"),
    METHOD_NOT_ALLOWED("method-not-allowed", 405, "That cannot be done here"),
    TOO_LARGE("too-large", 413, "Too large"),
    CANNOT_SEARCH("cannot-search", 503, "History cannot be searched"),
    NO_SPACE("no-space", 503, "The disk is almost full"),
    BROKEN("broken", 500, "Something broke on our side");

    private final String slug;
    private final int status;
    private final String title;

    Kind(String slug, int status, String title) {
      this.slug = slug;
      this.status = status;
      this.title = title;
    }

    /** The stable type, a URN. */
    public String type() {
      return "urn:fabulum:problem:" + slug;
    }

    /** The HTTP status. */
    public int status() {
      return status;
    }

    /** A few words for people. */
    public String title() {
      return title;
    }
  }
}
