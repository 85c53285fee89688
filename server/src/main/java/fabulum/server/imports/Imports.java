package fabulum.server.imports;

import static java.util.stream.Collectors.counting;
import static java.util.stream.Collectors.groupingBy;

import fabulum.core.access.Act;
import fabulum.core.imports.ColumnGuess;
import fabulum.core.imports.Subject;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.customers.CustomersRemoved;
import fabulum.server.customers.Holdings;
import fabulum.server.customers.IdentifyingKind;
import fabulum.server.imports.FileReading.Read;
import fabulum.server.imports.store.ImportMapper;
import fabulum.server.platform.LikePattern;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Files: handed in, looked at, taken, and taken back; for leads. */
@Service
public class Imports {
  private static final int LONGEST_FILE = 40_000_000;
  private static final int ROWS_SHOWN = 300;
  private static final int SAMPLES = 3;
  private static final int MOST_LISTED = 50;

  private final ImportMapper rows;
  private final ImportFiles files;
  private final FileReading reading;
  private final ImportRunner runner;
  private final Beginning beginning;
  private final Permits permits;
  private final Clock clock;

  Imports(
      ImportMapper rows,
      ImportFiles files,
      FileReading reading,
      ImportRunner runner,
      Beginning beginning,
      Permits permits,
      Clock clock) {
    this.rows = rows;
    this.files = files;
    this.reading = reading;
    this.runner = runner;
    this.beginning = beginning;
    this.permits = permits;
    this.clock = clock;
  }

  /** A column of the file. */
  public record ColumnView(String title, List<String> samples, String target) {}

  /** A row of the file and what becomes of it. */
  public record RowView(
      long line,
      String shown,
      Fate fate,
      @Nullable Long known,
      @Nullable String knownName,
      List<String> words) {}

  /** How many rows have each fate. */
  public record FateCounts(int added, int same, int changed, int asked, int refused) {}

  /**
   * What would become of a file.
   *
   * @param subject what it is about
   * @param fixed whether the file itself says what it is about
   * @param separator empty for vCards, calendars and JSON
   * @param rows those that are refused or asked about first, then what changes; at most 300
   */
  public record Preview(
      long id,
      String fileName,
      Subject subject,
      boolean fixed,
      String encoding,
      List<String> encodings,
      String separator,
      boolean headed,
      List<ColumnView> columns,
      FateCounts counts,
      List<RowView> rows) {}

  /** Keeps a file and says what would become of it. */
  public Preview handIn(String fileName, byte[] octets, StaffId by) {
    permits.require(by, Act.LEAD);
    if (octets.length > LONGEST_FILE) {
      throw bad("The file has more than 40 MB. Hand it in as several files.");
    }
    // Nothing is kept of what cannot be read.
    Read read = reading.read(octets, ImportChoice.GUESSED);
    String name = fileName.length() <= 200 ? fileName : fileName.substring(0, 200);
    long id = rows.insert(name, by.value(), clock.instant());
    files.keep(id, octets);
    return preview(id, name, read, ImportChoice.GUESSED);
  }

  private static Problem bad(String why) {
    return Problem.fields(List.of(new FieldProblem("file", why)));
  }

  /** What would become of a file, read as it was chosen. */
  public Preview preview(long id, ImportChoice choice, StaffId by) {
    permits.require(by, Act.LEAD);
    ImportView one = handedIn(id);
    return preview(id, one.fileName(), reading.read(files.read(id), choice), choice);
  }

  private Preview preview(long id, String fileName, Read read, ImportChoice choice) {
    List<PlannedRow> planned = runner.kind(read.subject()).plan(read, choice);
    List<ColumnView> columns = new ArrayList<>();
    for (int i = 0; i < read.targets().size(); i++) {
      String title = i < read.titles().size() ? read.titles().get(i) : "";
      columns.add(new ColumnView(title, read.samples(i, SAMPLES), read.targets().get(i).text()));
    }
    return new Preview(
        id,
        fileName,
        read.subject(),
        read.sheet().subject().isPresent(),
        read.sheet().encoding(),
        Sheet.ENCODINGS,
        read.sheet().separator(),
        read.headed(),
        columns,
        counts(planned),
        planned.stream()
            .sorted(Comparator.comparing((PlannedRow row) -> ORDER.indexOf(row.fate())))
            .limit(ROWS_SHOWN)
            .map(row ->
                new RowView(
                    row.line(), row.shown(), row.fate(), row.known(), row.knownName(), row.words()))
            .toList());
  }

  private static final List<Fate> ORDER =
      List.of(Fate.REFUSED, Fate.ASKED, Fate.CHANGED, Fate.NEW, Fate.SAME);

  private static FateCounts counts(List<PlannedRow> planned) {
    Map<Fate, Long> by = planned.stream().collect(groupingBy(PlannedRow::fate, counting()));
    return new FateCounts(
        by.getOrDefault(Fate.NEW, 0L).intValue(),
        by.getOrDefault(Fate.SAME, 0L).intValue(),
        by.getOrDefault(Fate.CHANGED, 0L).intValue(),
        by.getOrDefault(Fate.ASKED, 0L).intValue(),
        by.getOrDefault(Fate.REFUSED, 0L).intValue());
  }

  private ImportView handedIn(long id) {
    ImportView one = get(id);
    if (one.state() != ImportState.HANDED_IN) {
      throw Problem.conflict(Problem.Kind.CHANGED_MEANWHILE, "This file was taken already.");
    }
    return one;
  }

  private ImportView get(long id) {
    return rows.find(id).orElseThrow(() -> Problem.notFound("import"));
  }

  /** Begins to take a file in. */
  public ImportView run(long id, ImportChoice choice, StaffId by) {
    permits.require(by, Act.LEAD);
    ImportView one = handedIn(id);
    Read read = reading.read(files.read(id), choice);
    List<PlannedRow> planned = runner.kind(read.subject()).plan(read, choice);
    int refused = counts(planned).refused();
    if (refused > 0 && !choice.onlyGood()) {
      throw Problem.fields(
          List.of(
              new FieldProblem(
                  "onlyGood",
                  refused
                      + (refused == 1 ? " row cannot be taken." : " rows cannot be taken.")
                      + " Nothing was imported; mend them, or take only the good rows.")));
    }
    List<PlannedRow> taken =
        planned.stream()
            .filter(row -> row.fate() == Fate.NEW || row.fate() == Fate.CHANGED)
            .toList();
    long act = beginning.begin(one, read, taken.size(), by);
    runner.begin(get(id), taken, new ImportTaking.Of(act, one.fileName(), by, choice.list()));
    return get(id);
  }

  /** The imports there were, the newest first. */
  public List<ImportView> list(StaffId asking) {
    permits.require(asking, Act.LEAD);
    return rows.list(MOST_LISTED);
  }

  /** How far an import is. */
  public ImportView find(long id, StaffId asking) {
    permits.require(asking, Act.LEAD);
    return get(id);
  }

  /**
   * Stops an import before it is through; nothing of it is kept. Gives up a file that was not
   * taken.
   */
  public void cancel(long id, StaffId by) {
    permits.require(by, Act.LEAD);
    ImportView one = get(id);
    if (one.state() == ImportState.HANDED_IN) {
      files.forget(id);
      rows.delete(id);
    } else {
      runner.cancel(id);
    }
  }

  /**
   * Someone is removed for good: files that nobody took yet may tell of them, so they are handed in
   * again without.
   */
  @EventListener
  void removed(CustomersRemoved gone) {
    rows.clearFileNames(LikePattern.containing(gone.name()));
    for (long left : rows.listLeft(clock.instant().plusMillis(1))) {
      files.forget(left);
      rows.delete(left);
    }
  }

  /** Takes an import back. */
  public ImportView undo(long id, StaffId by) {
    permits.require(by, Act.LEAD);
    get(id);
    if (rows.setState(id, ImportState.DONE, ImportState.UNDOING, clock.instant()) > 0) {
      runner.undo(get(id));
    }
    return get(id);
  }

  /** Begins an import once. */
  @org.springframework.stereotype.Component
  static class Beginning {
    private final ImportMapper rows;
    private final Holdings holdings;
    private final TransactionTemplate transactions;
    private final Clock clock;

    Beginning(ImportMapper rows, Holdings holdings, TransactionTemplate transactions, Clock clock) {
      this.rows = rows;
      this.holdings = holdings;
      this.transactions = transactions;
      this.clock = clock;
    }

    long begin(ImportView one, Read read, int total, StaffId by) {
      Long act =
          transactions.execute(status -> {
            boolean first =
                rows.setState(one.id(), ImportState.HANDED_IN, ImportState.RUNNING, clock.instant())
                    > 0;
            if (!first) {
              throw Problem.conflict(
                  Problem.Kind.CHANGED_MEANWHILE, "This file was taken already.");
            }
            remember(read);
            long made =
                holdings.begin(
                    IdentifyingKind.IMPORTED, null, null, null, one.fileName(), by.value());
            rows.setBegun(one.id(), read.subject(), made, total);
            return made;
          });
      return act == null ? 0 : act;
    }

    /** What the titles were matched with is so the next time as well. */
    private void remember(Read read) {
      for (int i = 0; i < read.titles().size() && i < read.targets().size(); i++) {
        String plain = ColumnGuess.plain(read.titles().get(i));
        String title = FileReading.remembered(read.subject()) + plain;
        if (!plain.isEmpty() && title.length() <= 120) {
          rows.deleteMatching(title);
          rows.insertMatching(title, read.targets().get(i).text());
        }
      }
    }
  }
}
