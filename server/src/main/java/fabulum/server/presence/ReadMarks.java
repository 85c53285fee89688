package fabulum.server.presence;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.Conversation;
import fabulum.server.platform.DiskReserve;
import fabulum.server.presence.store.SeenMapper;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Up to when each person has read each conversation. Marks only move forward. */
@Component
class ReadMarks {
  private final SeenMapper marks;
  private final DiskReserve reserve;

  ReadMarks(SeenMapper marks, DiskReserve reserve) {
    this.marks = marks;
    this.reserve = reserve;
  }

  /**
   * Someone sees a conversation as it is now. While there is no room to write, nothing is kept of
   * it, and they see it all the same.
   *
   * @return up to when they had read it before
   */
  @Transactional
  public Optional<Instant> saw(StaffId who, Conversation row) {
    Optional<Instant> before = Optional.ofNullable(marks.find(who.value(), row.id()));
    if (reserve.isStopped()) {
      return before;
    }
    if (before.isEmpty()) {
      marks.insert(who.value(), row.id(), row.lastAt());
    } else if (before.get().isBefore(row.lastAt())) {
      marks.moveOn(who.value(), row.id(), row.lastAt());
    }
    return before;
  }
}
