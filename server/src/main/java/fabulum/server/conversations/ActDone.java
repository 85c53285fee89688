package fabulum.server.conversations;

/** Someone did something with a conversation that can be taken back. Told in its transaction. */
public record ActDone(UndoStep step) {}
