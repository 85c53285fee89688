package fabulum.core.access;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * What someone may do, whatever the conversation.
 *
 * @param active false for who has left, or has not come yet
 */
public record Access(Role role, Set<Permission> permissions, boolean active) {

  /** Nobody at all. */
  public static final Access NONE = new Access(Role.VIEWER, Set.of(), false);

  public Access {
    permissions = Set.copyOf(permissions);
  }

  /** Whether they have the permission and their role bears it. */
  public boolean has(Permission permission) {
    return active && permission.suits(role) && permissions.contains(permission);
  }

  /** Whether they may. */
  public boolean may(Act act) {
    return switch (act) {
      case WORK -> active && role != Role.VIEWER;
      case LEAD -> active && role == Role.LEAD;
      case TEXT -> has(Permission.TEXT);
      case SEND_TO_MANY -> has(Permission.TEXT) && has(Permission.SEND_TO_MANY);
      case EXPORT -> has(Permission.EXPORT);
      case CHANGE_TEMPLATES -> has(Permission.CHANGE_TEMPLATES);
      case REMOVE_FOR_GOOD -> has(Permission.REMOVE_FOR_GOOD);
    };
  }

  /** All that they may. */
  public Set<Act> acts() {
    Set<Act> acts = EnumSet.noneOf(Act.class);
    for (Act act : Act.values()) {
      if (may(act)) {
        acts.add(act);
      }
    }
    return acts;
  }

  /**
   * Why someone may not, and who can allow it.
   *
   * @param leads names of those who can
   */
  public static String refusal(Act act, List<String> leads) {
    String who = leads.isEmpty() || leads.size() > 2 ? "A lead" : String.join(" or ", leads);
    return "You may not " + act.words() + ". " + who + " can allow it.";
  }
}
