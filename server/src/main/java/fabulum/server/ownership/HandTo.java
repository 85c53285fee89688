package fabulum.server.ownership;

import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import org.jspecify.annotations.Nullable;

/** To whom something is handed: one person, or one team, or nobody in particular. */
public record HandTo(@Nullable StaffId person, @Nullable TeamId team) {
  /** Back to nobody. */
  public static final HandTo NOBODY = new HandTo(null, null);

  public HandTo {
    if (person != null && team != null) {
      throw new IllegalArgumentException("It goes to a person or to a team");
    }
  }

  /** To someone. */
  public static HandTo person(StaffId person) {
    return new HandTo(person, null);
  }

  /** To a team. */
  public static HandTo team(TeamId team) {
    return new HandTo(null, team);
  }
}
