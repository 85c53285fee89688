package fabulum.core.attendance;

import java.time.Instant;
import java.util.Optional;
import java.util.OptionalLong;

/**
 * Whether someone is in at an instant.
 *
 * @param why it is so
 * @param until when it will change by itself; empty when it will not
 * @param cover who receives what would come to them while they are away
 */
public record Presence(boolean in, Why why, Optional<Instant> until, OptionalLong cover) {

  /** What decided it. */
  public enum Why {
    /** They said so. */
    BY_HAND,
    /** An absence known ahead. */
    DATES,
    /** Their timetable. */
    TIMETABLE,
    /** Nothing speaks against it. */
    ALWAYS,
    /** They have left, or have not come yet. */
    LEFT
  }
}
