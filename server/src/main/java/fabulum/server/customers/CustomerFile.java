package fabulum.server.customers;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * All that is on file of a customer, but for what was said.
 *
 * @param kind what kind of customer they are, in the words of the business
 * @param outsideId how another program names them
 * @param language where it is not the business's own: its code by ISO 639-1
 * @param joinedInto the customer they turned out to be; null for none
 * @param contacts persons of a firm
 * @param lists ids of the customer lists they are on
 */
public record CustomerFile(
    long id,
    String name,
    @Nullable String kind,
    @Nullable String email,
    @Nullable Long siteId,
    @Nullable String outsideId,
    @Nullable String language,
    @Nullable Long joinedInto,
    List<Contact> contacts,
    List<FileDetail> details,
    List<Long> lists,
    List<FileNote> notes) {

  /** The fields that stand on the customer alone. */
  public record Fields(
      long id,
      String name,
      @Nullable String kind,
      @Nullable String email,
      @Nullable Long siteId,
      @Nullable String outsideId,
      @Nullable String language,
      @Nullable Long joinedInto) {}

  /** A person of a firm. */
  public record Contact(long id, String name) {}

  /**
   * What an extra field says.
   *
   * @param kindId which field
   */
  public record FileDetail(long kindId, String words) {}

  /**
   * Words for the team about a customer.
   *
   * @param notedAt null for since ever
   * @param staffId who noted it; null for another program
   */
  public record FileNote(
      long id, String words, @Nullable Instant notedAt, @Nullable Long staffId) {}

  /**
   * What changed of a customer.
   *
   * @param staffId who did it; null for a program
   * @param program the other program that did it; null for a person, or Fabulum itself
   * @param what the field, or the kind of what was said of a number
   * @param act what can be taken back, by its id; null when it is a change of a field
   */
  public record FileChange(
      long id,
      Instant at,
      @Nullable Long staffId,
      @Nullable String program,
      String what,
      @Nullable String before,
      @Nullable String after,
      @Nullable Long act,
      @Nullable Instant undoneAt) {}

  /** A field that stands on the customer alone. */
  public enum Field {
    NAME("name", "name", 160),
    KIND("kind", "kind", 40),
    EMAIL("email", "e-mail", 200),
    SITE("site_id", "site", 19),
    OUTSIDE_ID("outside_id", "outside id", 80),
    /** Where it is not the business's own: its code by ISO 639-1. */
    LANGUAGE("language", "language", 8);

    private final String column;
    private final String words;
    private final int longest;

    Field(String column, String words, int longest) {
      this.column = column;
      this.words = words;
      this.longest = longest;
    }

    /** As people name it. */
    public String words() {
      return words;
    }

    /** As the table names it. */
    public String column() {
      return column;
    }

    int longest() {
      return longest;
    }
  }
}
