package fabulum.server.conversations.changes;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;

/** A colleague who was brought into a conversation is in it no more. */
public record GuestLeft(ConversationId id, StaffId who) {}
