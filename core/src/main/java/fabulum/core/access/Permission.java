package fabulum.core.access;

import java.util.Set;

/** What can be given to one person on top of their role. */
public enum Permission {
  TEXT("text customers"),
  SEND_TO_MANY("text many customers at once"),
  EXPORT("export"),
  CHANGE_TEMPLATES("change templates"),
  SEE_ALL_LINES("see all lines"),
  REMOVE_FOR_GOOD("remove for good");

  private final String words;

  Permission(String words) {
    this.words = words;
  }

  /** What it allows, as it goes on after "may". */
  public String words() {
    return words;
  }

  /** What someone new in a role is given; it can be taken away again. */
  public static Set<Permission> usual(Role role) {
    return switch (role) {
      case LEAD -> Set.of(TEXT, SEND_TO_MANY, EXPORT, CHANGE_TEMPLATES);
      case STAFF -> Set.of(TEXT, CHANGE_TEMPLATES);
      case VIEWER -> Set.of();
    };
  }

  /** Whether it can be given to someone in this role: who only reads does not write. */
  public boolean suits(Role role) {
    return role != Role.VIEWER || this == EXPORT || this == SEE_ALL_LINES;
  }
}
