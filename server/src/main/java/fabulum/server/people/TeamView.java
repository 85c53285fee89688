package fabulum.server.people;

import java.util.List;

/**
 * A team.
 *
 * @param members their ids, in order of names
 */
public record TeamView(long id, String name, List<Long> members) {}
