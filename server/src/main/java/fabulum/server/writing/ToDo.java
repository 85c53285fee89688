package fabulum.server.writing;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A note that says what is to be done, by whom and when.
 *
 * @param note its entry
 * @param words of the note
 * @param staff who does it
 * @param dueAt when its conversation is brought back
 * @param by who wrote it
 * @param broughtAt when that was done; null while it is not due
 * @param doneAt when it was ticked off; null while it is open
 */
public record ToDo(
    long note,
    long conversation,
    String words,
    long staff,
    Instant dueAt,
    long by,
    @Nullable Instant broughtAt,
    @Nullable Instant doneAt) {

  /**
   * Who is to do something, and when.
   *
   * @param at in the future
   */
  public record Wanted(long staff, Instant at) {}
}
