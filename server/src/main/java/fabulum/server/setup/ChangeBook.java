package fabulum.server.setup;

import fabulum.core.access.Act;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.platform.LogPage;
import fabulum.server.setup.store.ChangeMapper;
import fabulum.server.setup.store.ChangeRow;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Keeps what was changed of the set-up, by whom and when, as people read it. */
@Service
public class ChangeBook {
  private static final int LONGEST = 4_000;

  private final ChangeMapper changes;
  private final People people;
  private final Permits permits;
  private final Clock clock;

  ChangeBook(ChangeMapper changes, People people, Permits permits, Clock clock) {
    this.changes = changes;
    this.people = people;
    this.permits = permits;
    this.clock = clock;
  }

  /** Keeps each setting that is another than before. */
  void noteAll(StaffId by, String subject, Map<String, String> before, Map<String, String> after) {
    after.forEach((what, now) -> {
      String then = before.get(what);
      if (!now.equals(then)) {
        note(by, subject, what, then, now);
      }
    });
  }

  void note(
      StaffId by, String subject, String what, @Nullable String before, @Nullable String after) {
    changes.insert(
        new ChangeRow(
            0, clock.instant(), by.value(), subject, what, shortened(before), shortened(after)));
  }

  private static @Nullable String shortened(@Nullable String words) {
    return words == null || words.length() <= LONGEST
        ? words
        : words.substring(0, LONGEST - 1) + "…";
  }

  /**
   * A page of what was changed.
   *
   * @param asking a person who leads
   */
  public List<ChangeView> list(LogPage page, StaffId asking) {
    permits.require(asking, Act.LEAD);
    Map<Long, StaffView> staff = people.byId();
    return changes.list(page).stream()
        .map(row ->
            new ChangeView(
                row.id(),
                row.at(),
                staff.get(row.staffId()),
                row.subject(),
                row.what(),
                row.before(),
                row.after()))
        .toList();
  }
}
