package fabulum.server.conversations.changes;

import fabulum.server.conversations.UndoStep;

/** Someone did something with a conversation that can be taken back. Told in its transaction. */
public record ActDone(UndoStep step) {}
