package fabulum.server.ownership.store;

/** A row of given, without its line. */
public record TurnRow(long staffId, long lastTurn) {}
