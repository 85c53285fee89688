package fabulum.server.inbox;

import fabulum.core.conversation.Group;
import fabulum.server.inbox.store.SortRow;

/** The orders of the list. */
public enum ListOrder {
  /** Our turn: what is due first; set aside: what is back first; else what has stood so longest. */
  TIME_LEFT,
  /** The newest text first; done: what was finished last. */
  NEWEST,
  /** What has been open longest first. */
  OPEN_LONGEST,
  /** What we have waited for longest first. */
  WAITING_LONGEST;

  /** The order a group has when nobody chose one. */
  public static ListOrder usual(Group group) {
    return switch (group) {
      case OUR_TURN, SET_ASIDE -> TIME_LEFT;
      case THEIR_TURN, DONE, BLANK -> NEWEST;
    };
  }

  SortRow column(Group group) {
    return switch (this) {
      case TIME_LEFT, WAITING_LONGEST -> SortRow.BY_PLACE;
      case NEWEST -> group == Group.DONE ? SortRow.BY_PLACE_LAST_FIRST : SortRow.BY_LAST_TEXT;
      case OPEN_LONGEST -> SortRow.BY_OPENING;
    };
  }
}
