package fabulum.server.lines.store;

/** A row of line_span: the day as ISO 8601 counts it, the beginning in minutes of the day. */
public record SpanRow(int dayOfWeek, int fromMinute, int minutes) {}
