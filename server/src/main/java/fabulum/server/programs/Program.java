package fabulum.server.programs;

import java.util.Set;

/** Another program that has shown its key. */
public record Program(long id, String name, Set<ProgramRight> rights) {
  public Program {
    rights = Set.copyOf(rights);
  }

  boolean may(ProgramRight right) {
    return rights.stream().anyMatch(one -> one.includes(right));
  }
}
