package fabulum.server.conversations.changes;

import fabulum.core.access.Spot;
import fabulum.server.conversations.ConversationId;
import java.util.OptionalLong;

/**
 * Who sees a conversation may have changed with it.
 *
 * @param before where it was before
 */
public record SightChanged(ConversationId id, Spot before) {

  /** The place before, as the feed of changes keeps it: line, owner and team, 0 for none. */
  public String detail() {
    return before.line() + " " + before.owner().orElse(0) + " " + before.team().orElse(0);
  }

  /** The change as the feed has it. */
  static SightChanged read(long conversation, String detail) {
    String[] parts = detail.split(" ");
    return new SightChanged(
        new ConversationId(conversation),
        new Spot(Long.parseLong(parts[0]), id(parts[1]), id(parts[2]), conversation));
  }

  private static OptionalLong id(String part) {
    long id = Long.parseLong(part);
    return id == 0 ? OptionalLong.empty() : OptionalLong.of(id);
  }
}
