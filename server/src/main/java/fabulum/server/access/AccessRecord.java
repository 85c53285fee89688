package fabulum.server.access;

import fabulum.server.access.store.AccessRecordMapper;
import fabulum.server.platform.LikePattern;
import fabulum.server.platform.LogPage;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The record of who may see or do what, and who changed it. Nobody can change the record. */
@Service
public class AccessRecord {
  private static final int LONGEST = 1_000;
  private static final int LONGEST_ABOUT = 160;

  private final AccessRecordMapper changes;
  private final Clock clock;

  AccessRecord(AccessRecordMapper changes, Clock clock) {
    this.changes = changes;
    this.clock = clock;
  }

  /** Adds a change; to be called in the transaction that makes it. */
  public void note(
      @Nullable StaffId by,
      String about,
      String what,
      @Nullable String before,
      @Nullable String after) {
    changes.insert(
        clock.instant(),
        by == null ? null : by.value(),
        cut(about, LONGEST_ABOUT),
        what,
        before == null ? null : cut(before, LONGEST),
        after == null ? null : cut(after, LONGEST));
  }

  /** Adds whatever differs. */
  public void noteAll(
      StaffId by, String about, Map<String, String> before, Map<String, String> after) {
    after.forEach((what, now) -> {
      String then = before.getOrDefault(what, "");
      if (!then.equals(now)) {
        note(by, about, what, then, now);
      }
    });
  }

  private static String cut(String words, int longest) {
    return words.length() <= longest ? words : words.substring(0, longest - 1) + "…";
  }

  /**
   * A page of the changes.
   *
   * @param words that must be in what is said; blank for all
   */
  public List<AccessChange> list(String words, LogPage page) {
    return changes.list(words.isBlank() ? null : LikePattern.containing(words), page);
  }
}
