package fabulum.server.clientele.store;

import org.jspecify.annotations.Nullable;

/** The fields of a customer. */
public record IndexedRow(
    long id,
    String name,
    @Nullable String kind,
    @Nullable String email,
    @Nullable Long siteId,
    @Nullable String outsideId,
    @Nullable String language) {

  /** What a piece is. */
  public enum Part {
    CONTACT,
    DETAIL,
    NOTE,
    JOB,
    NUMBER,
    LIST
  }

  /**
   * Something else on file.
   *
   * @param ref the id of the detail's kind or of the list; 0 for others
   */
  public record PieceRow(long customerId, Part part, long ref, String words) {}

  /** When a customer was last heard from, and in which conversation. */
  public record HeardRow(long customerId, java.time.Instant at) {}
}
