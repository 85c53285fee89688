package fabulum.server.conversations;

import fabulum.server.access.StaffId;

/** A colleague who was brought into a conversation is in it no more. */
public record GuestLeft(ConversationId id, StaffId who) {}
