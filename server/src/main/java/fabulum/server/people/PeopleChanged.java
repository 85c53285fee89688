package fabulum.server.people;

import fabulum.server.access.StaffId;
import java.util.Optional;
import java.util.Set;

/**
 * Who may see or do what has changed; told after it was committed.
 *
 * @param whose it may be; empty where it may be anyone's
 */
public record PeopleChanged(Optional<Set<StaffId>> whose) {

  public PeopleChanged {
    whose = whose.map(Set::copyOf);
  }

  /** Whether it may be theirs. */
  public boolean mayConcern(long who) {
    return whose.map(some -> some.contains(new StaffId(who))).orElse(true);
  }
}
