package fabulum.server.live;

import fabulum.core.notice.NoticeChannel;
import fabulum.server.conversations.script.EntryView;
import fabulum.server.inbox.ConversationView;
import fabulum.server.notices.NoticeView;
import fabulum.server.presence.Watchers.Watched;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What an open browser is told.
 *
 * @param conversation the row as it now is, for {@link Type#CONVERSATION}
 * @param entries of that conversation, added or changed
 * @param gone the conversation that is no longer seen, for {@link Type#GONE}
 * @param why it is no longer seen, a sentence, for {@link Type#GONE}
 * @param watched who is at a conversation now, for {@link Type#WATCHED}
 * @param notice for {@link Type#NOTICE}
 * @param by how its receiver wants to be told, for {@link Type#NOTICE}
 */
public record LiveMessage(
    Type type,
    @Nullable ConversationView conversation,
    List<EntryView> entries,
    @Nullable Long gone,
    @Nullable String why,
    @Nullable Watched watched,
    @Nullable NoticeView notice,
    List<NoticeChannel> by) {

  /** What it is about. */
  public enum Type {
    /** A conversation changed. */
    CONVERSATION,
    /** A conversation is no longer for the listener to see. */
    GONE,
    /** Someone came to a conversation, left it, began or stopped writing. */
    WATCHED,
    /** There is a notice for the listener. */
    NOTICE,
    /** Colleagues came in, left, or are called otherwise. */
    PEOPLE,
    /** Something was set up that only set-up pages show the listener: a line they do not see. */
    SET_UP,
    /** What keeps the program as a whole from its work is another than before; leads look. */
    TROUBLES,
    /** Templates, or the links they point to, were changed. */
    TEMPLATES,
    /** What lies on desks, such as texts that wait for a second look, changed. */
    DESKS,
    /** The listener has missed something that is no longer at hand: read everything again. */
    READ_AGAIN,
    /** Nothing happened; the line is alive. */
    BEAT
  }

  private static LiveMessage of(Type type) {
    return new LiveMessage(type, null, List.of(), null, null, null, null, List.of());
  }

  static LiveMessage beat() {
    return of(Type.BEAT);
  }

  static LiveMessage readAgain() {
    return of(Type.READ_AGAIN);
  }

  static LiveMessage people() {
    return of(Type.PEOPLE);
  }

  static LiveMessage setUp() {
    return of(Type.SET_UP);
  }

  static LiveMessage troubles() {
    return of(Type.TROUBLES);
  }

  static LiveMessage templates() {
    return of(Type.TEMPLATES);
  }

  static LiveMessage desks() {
    return of(Type.DESKS);
  }

  static LiveMessage conversation(ConversationView row, List<EntryView> entries) {
    return new LiveMessage(Type.CONVERSATION, row, entries, null, null, null, null, List.of());
  }

  static LiveMessage gone(long conversation, String why) {
    return new LiveMessage(Type.GONE, null, List.of(), conversation, why, null, null, List.of());
  }

  static LiveMessage watched(Watched watched) {
    return new LiveMessage(Type.WATCHED, null, List.of(), null, null, watched, null, List.of());
  }

  static LiveMessage notice(NoticeView notice, List<NoticeChannel> by) {
    return new LiveMessage(Type.NOTICE, null, List.of(), null, null, null, notice, by);
  }
}
