package fabulum.server.people.store;

/** A row of staff_span. */
public record StaffSpanRow(long staffId, int dayOfWeek, int fromMinute, int minutes) {}
