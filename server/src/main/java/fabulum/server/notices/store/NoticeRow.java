package fabulum.server.notices.store;

import fabulum.core.notice.Kind;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A row of notice. */
public record NoticeRow(
    long id,
    long staffId,
    Kind kind,
    long conversationId,
    String words,
    Instant at,
    @Nullable Instant seenAt) {
  @Override
  public String toString() {
    return "NoticeRow[" + id + "]";
  }
}
