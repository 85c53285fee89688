package fabulum.server.programs;

import fabulum.core.access.Act;
import fabulum.core.text.OneLine;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.SecretWords;
import fabulum.server.programs.store.ProgramMapper;
import fabulum.server.programs.store.ProgramRow;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Other programs and their keys. */
@Service
public class Programs {
  /** Before a key, so that it is known for one wherever it is found. */
  private static final String BEGINNING = "fabulum_";

  private static final int SHOWN = 12;
  private static final int LONGEST_NAME = 80;
  private static final int DAYS = 30;

  private final ProgramMapper rows;
  private final ProgramUse use;
  private final Permits permits;
  private final Clock clock;

  Programs(ProgramMapper rows, ProgramUse use, Permits permits, Clock clock) {
    this.rows = rows;
    this.use = use;
    this.permits = permits;
    this.clock = clock;
  }

  /**
   * A program that was let in.
   *
   * @param key to be shown once; only its hash is kept
   */
  public record Made(long id, String key) {}

  /** Lets a program in, within a transaction. */
  @Transactional(propagation = Propagation.MANDATORY)
  public Made add(String name, Set<ProgramRight> rights, StaffId by) {
    String wanted = name.strip();
    List<FieldProblem> bad = new ArrayList<>();
    if (wanted.isEmpty() || wanted.length() > LONGEST_NAME || !OneLine.is(wanted)) {
      bad.add(new FieldProblem("name", "A name has 1 to 80 characters, on one line."));
    }
    if (rights.isEmpty()) {
      bad.add(new FieldProblem("rights", "Choose what it may do."));
    }
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
    String key = BEGINNING + SecretWords.make();
    String said = rights.stream().sorted().map(Enum::name).collect(Collectors.joining(" "));
    long id =
        rows.insert(
            wanted,
            key.substring(0, SHOWN),
            SecretWords.hash(key),
            said,
            by.value(),
            clock.instant());
    return new Made(id, key);
  }

  /** The key of a program holds no more, within a transaction; the name of the program. */
  @Transactional(propagation = Propagation.MANDATORY)
  public String end(long id, StaffId by) {
    ProgramRow row = rows.find(id).orElseThrow(() -> Problem.notFound("program"));
    if (rows.end(id, by.value(), clock.instant()) == 0) {
      throw Problem.conflict(
          Problem.Kind.CHANGED_MEANWHILE, "Its key was ended already. Nothing was changed.");
    }
    return row.name();
  }

  /** Programs and what they did lately. */
  public List<ProgramView> list(StaffId asking) {
    permits.require(asking, Act.LEAD);
    use.keep();
    LocalDate since = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC).minusDays(DAYS);
    return rows.list(since).stream()
        .map(row ->
            new ProgramView(
                row.id(),
                row.name(),
                row.keyStart(),
                rights(row),
                row.madeBy(),
                row.madeAt(),
                row.endedAt(),
                row.lastUsedAt(),
                row.reads(),
                row.changes(),
                row.refused()))
        .toList();
  }

  private static List<ProgramRight> rights(ProgramRow row) {
    return Arrays.stream(row.rights().split(" ")).map(ProgramRight::valueOf).toList();
  }

  /** The program whose key it is, if it holds. */
  public Optional<Program> find(String key) {
    return key.startsWith(BEGINNING) && key.length() <= 80
        ? rows.findByHash(SecretWords.hash(key))
            .map(row -> new Program(row.id(), row.name(), Set.copyOf(rights(row))))
        : Optional.empty();
  }

  /** Refuses what a program was not given. */
  public static void require(Program program, ProgramRight right) {
    if (!program.may(right)) {
      throw Problem.conflict(
          Problem.Kind.NOT_ALLOWED, "This key was not given the right " + right + ".");
    }
  }
}
