package fabulum.server.office;

import fabulum.core.attendance.Presence;
import fabulum.server.inbox.Workload.Load;
import fabulum.server.people.StaffView;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How the front office stands.
 *
 * @param people everybody who works here, those who are in first
 * @param nobodys what nobody owns
 */
public record OfficeView(List<PersonAtWork> people, Load nobodys) {
  public OfficeView {
    people = List.copyOf(people);
  }

  /**
   * Someone, and what they have.
   *
   * @param why they are in, or away
   * @param until when that will change by itself
   * @param cover who receives what would come to them while they are away
   * @param limit of open conversations on our turn; with this number they are given no more
   * @param answeredAt when they answered last
   */
  public record PersonAtWork(
      StaffView staff,
      boolean in,
      Presence.Why why,
      @Nullable Instant until,
      @Nullable StaffView cover,
      List<Long> teams,
      @Nullable Integer limit,
      Load desk,
      @Nullable Instant answeredAt) {}
}
