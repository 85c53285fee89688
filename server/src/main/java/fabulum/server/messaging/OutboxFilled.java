package fabulum.server.messaging;

import fabulum.server.conversations.EntryId;

/** A text was put into the outbox. */
public record OutboxFilled(EntryId entry) {}
