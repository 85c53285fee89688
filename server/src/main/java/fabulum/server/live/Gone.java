package fabulum.server.live;

import fabulum.core.access.Spot;
import fabulum.server.inbox.ConversationView;
import fabulum.server.people.StaffView;

/** Conversations that someone sees no longer. */
final class Gone {
  /** Why a colleague who was brought in does not see it any more. */
  static final String LET_OUT = "You were brought in until it is done, or were let out again.";

  private Gone() {}

  /** Why those who saw it where it stood before do not see it any more. */
  static String why(Spot before, ConversationView now) {
    StaffView owner = now.owner();
    boolean handedOn = !before.team().equals(now.spot().team());
    if (owner != null && !now.spot().owner().equals(before.owner())) {
      return owner.name()
          + (handedOn
              ? " has it now, in another team."
              : " has it now. On this line you see only your own conversations and those nobody"
                  + " owns.");
    }
    return "It was handed to another team.";
  }
}
