package fabulum.server.feed;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Something that changed.
 *
 * @param number its place in the feed; unique, and higher the later it was written
 * @param subject the id of what changed, 0 where the kind says it all
 * @param version of the subject after the change, 0 where it has none
 * @param detail what more there is to say, by the kind
 * @param node the process that wrote it
 */
public record Change(
    long number,
    Instant at,
    Kind kind,
    long subject,
    long version,
    @Nullable String detail,
    String node) {

  /** What changed. */
  public enum Kind {
    /** A conversation; the detail is the ids of its entries that were added or changed. */
    CONVERSATION,
    /** Who sees a conversation; the detail is line, owner and team as they were before. */
    SIGHT,
    /** One topic stands for another, whose id is in place of the version. */
    TOPICS,
    /** Lines, topics or promises. */
    SET_UP,
    /** A customer: what is on file of them, or their numbers. */
    CUSTOMER,
    /** People, teams or permissions. */
    PEOPLE
  }
}
