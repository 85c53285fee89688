package fabulum.server.notices;

import fabulum.core.notice.Kind;
import fabulum.server.inbox.ConversationView;
import java.time.Instant;

/**
 * A notice, with the conversation it tells of as that is now.
 *
 * @param words what was to be told then
 * @param seen whether its receiver has seen it
 */
public record NoticeView(
    long id, Kind kind, String words, Instant at, boolean seen, ConversationView conversation) {}
