package fabulum.server.setup;

import fabulum.server.access.StaffId;
import fabulum.server.programs.ProgramRight;
import fabulum.server.programs.Programs;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Lets other programs in and ends their keys. Each change is kept with who made it and when. */
@Service
public class ProgramSetUp {
  private final Programs programs;
  private final ChangeBook changes;
  private final SetUpChanges all;

  ProgramSetUp(Programs programs, ChangeBook changes, SetUpChanges all) {
    this.programs = programs;
    this.changes = changes;
    this.all = all;
  }

  /** Lets a program in. */
  public Programs.Made add(String name, Set<ProgramRight> rights, StaffId by) {
    AtomicReference<Programs.Made> made = new AtomicReference<>();
    all.carryOut(
        by,
        () -> {
          Programs.Made one = programs.add(name, rights, by);
          made.set(one);
          changes.note(by, "program " + name.strip(), "key", null, said(rights));
          return one.id();
        });
    return Objects.requireNonNull(made.get());
  }

  /** Ends the key of a program. */
  public Outcome end(long id, StaffId by) {
    return all.carryOut(
        by,
        () -> {
          changes.note(by, "program " + programs.end(id, by), "key", "holds", "ended");
          return id;
        });
  }

  private static String said(Set<ProgramRight> rights) {
    return rights.stream()
        .sorted()
        .map(right -> right.name().toLowerCase(Locale.ROOT).replace('_', ' '))
        .collect(Collectors.joining(", "));
  }
}
