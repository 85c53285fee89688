package fabulum.server.inbox;

import fabulum.core.conversation.Group;
import fabulum.core.sentence.Sentence;
import fabulum.server.access.StaffId;

/**
 * Which conversations, and in what order.
 *
 * @param asking who asks, for what is mine
 */
public record InboxQuery(Group group, ListOrder order, Sentence sentence, StaffId asking) {}
