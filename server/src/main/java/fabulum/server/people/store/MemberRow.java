package fabulum.server.people.store;

/** A row of team_member. */
public record MemberRow(long teamId, long staffId) {}
