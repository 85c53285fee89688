package fabulum.server.people;

import fabulum.server.people.store.StaffMapper;
import fabulum.server.people.store.StaffRow;
import java.util.HashMap;
import java.util.Map;
import org.springframework.stereotype.Service;

/** At how many open conversations on our turn people are given no more. */
@Service
public class Limits {
  private final StaffMapper staff;

  Limits(StaffMapper staff) {
    this.staff = staff;
  }

  /** The limits of those who have one, by their ids. */
  public Map<Long, Integer> all() {
    Map<Long, Integer> limits = new HashMap<>();
    for (StaffRow row : staff.list()) {
      Integer limit = row.workLimit();
      if (limit != null) {
        limits.put(row.id(), limit);
      }
    }
    return limits;
  }
}
