package fabulum.server.notices;

import fabulum.core.notice.NoticeChannel;
import fabulum.server.access.StaffId;
import java.util.Set;

/**
 * Someone has a notice. Told within the transaction that gives it.
 *
 * @param by how they are to be told
 */
public record NoticeGiven(NoticeId id, StaffId to, Set<NoticeChannel> by) {
  public NoticeGiven {
    by = Set.copyOf(by);
  }
}
