package fabulum.server.lines;

/** Names one line. */
public record LineId(long value) {}
