package fabulum.server.live;

import fabulum.server.conversations.ConversationView;
import fabulum.server.conversations.EntryView;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What an open browser is told.
 *
 * @param conversation the row as it now is, for {@link Type#CONVERSATION}
 * @param entries of that conversation, added or changed
 */
public record LiveMessage(
    Type type, @Nullable ConversationView conversation, List<EntryView> entries) {

  /** What it is about. */
  public enum Type {
    /** A conversation changed. */
    CONVERSATION,
    /** The listener has missed something that is no longer at hand: read everything again. */
    READ_AGAIN,
    /** Nothing happened; the line is alive. */
    BEAT
  }

  static LiveMessage beat() {
    return new LiveMessage(Type.BEAT, null, List.of());
  }

  static LiveMessage readAgain() {
    return new LiveMessage(Type.READ_AGAIN, null, List.of());
  }
}
