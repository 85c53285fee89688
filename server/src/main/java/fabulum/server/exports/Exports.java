package fabulum.server.exports;

import fabulum.core.access.Act;
import fabulum.core.sentence.HistorySentence;
import fabulum.core.text.OneLine;
import fabulum.server.access.AccessRecord;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.customers.CustomersRemoved;
import fabulum.server.exports.store.ExportMapper;
import fabulum.server.exports.store.ExportRow;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What was said, taken out in open formats: made in the background, ready for some days, for the
 * one who asked for it. It has what they see when it is made.
 */
@Service
public class Exports {
  private static final Logger log = LoggerFactory.getLogger(Exports.class);

  /** So long a file can be fetched. */
  public static final Duration KEPT = Duration.ofDays(7);

  private static final int LONGEST_SAID = 1_000;
  private static final int LONGEST_TITLE = 400;

  private final ExportMapper rows;
  private final ExportRunner runner;
  private final Permits permits;
  private final AccessRecord record;
  private final TransactionTemplate transactions;
  private final Clock clock;

  Exports(
      ExportMapper rows,
      ExportRunner runner,
      Permits permits,
      AccessRecord record,
      TransactionTemplate transactions,
      Clock clock) {
    this.rows = rows;
    this.runner = runner;
    this.permits = permits;
    this.record = record;
    this.transactions = transactions;
    this.clock = clock;
  }

  /**
   * Asks for an export.
   *
   * @param said a sentence of History, as addresses carry it
   * @param title the same in words, for the head of the file
   * @param withFiles what goes or came with the texts as well, in a ZIP
   * @return its id
   */
  public long begin(String said, String title, ExportFormat format, boolean withFiles, StaffId by) {
    permits.require(by, Act.EXPORT);
    String sentence = read(said).text();
    String head = title.strip();
    if (sentence.length() > LONGEST_SAID || head.length() > LONGEST_TITLE) {
      throw bad("said", "This sentence is too long to be exported.");
    }
    OneLine.objection(head)
        .ifPresent(why -> {
          throw bad("title", why);
        });
    ExportRow row =
        new ExportRow(
            0,
            by.value(),
            sentence,
            head,
            format,
            withFiles,
            ExportState.WAITING,
            0,
            0,
            null,
            clock.instant());
    Long id =
        transactions.execute(status -> {
          record.note(by, "what was said", "exported as " + format, null, sentence);
          return rows.insert(row);
        });
    long made = id == null ? 0 : id;
    runner.begin(made);
    return made;
  }

  private static HistorySentence read(String said) {
    return Problem.reading("said", () -> HistorySentence.read(said));
  }

  private static Problem bad(String field, String why) {
    return Problem.fields(List.of(new FieldProblem(field, why)));
  }

  /** My exports, the newest first; at most 20. */
  public List<ExportView> list(StaffId me) {
    return rows.listOf(me.value()).stream().map(Exports::view).toList();
  }

  private static ExportView view(ExportRow row) {
    return new ExportView(
        row.id(),
        row.said(),
        row.title(),
        row.format(),
        row.withFiles(),
        row.state(),
        row.done(),
        row.total(),
        row.why(),
        row.madeAt(),
        row.madeAt().plus(KEPT));
  }

  /** A file that is ready. */
  public record Ready(Path path, String name, String mediaType) {}

  /** The file of one of my exports; only while I may export. */
  public Ready file(long id, StaffId me) {
    ExportRow row = mine(id, me);
    permits.require(me, Act.EXPORT);
    Path path = runner.file(row);
    boolean over = !row.madeAt().plus(KEPT).isAfter(clock.instant());
    if (row.state() != ExportState.READY || over || !Files.isRegularFile(path)) {
      throw Problem.notFound("export");
    }
    return new Ready(
        path,
        "history-" + id + "." + ExportRunner.ending(row),
        row.withFiles() ? "application/zip" : row.format().mediaType());
  }

  /** Removes one of my exports with its file. */
  public void remove(long id, StaffId me) {
    ExportRow row = mine(id, me);
    rows.delete(row.id());
    forget(row.id());
  }

  private ExportRow mine(long id, StaffId me) {
    return rows.find(id)
        .filter(row -> row.staffId() == me.value())
        .orElseThrow(() -> Problem.notFound("export"));
  }

  private void forget(long id) {
    try {
      runner.forget(id);
    } catch (IOException e) {
      log.warn("The file of an export could not be removed", e);
    }
  }

  /** Removes what can be fetched no longer, and files that are of no export any more. */
  @Scheduled(initialDelay = 2, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
  void sweep() {
    for (long id : rows.listBefore(clock.instant().minus(KEPT))) {
      forget(id);
      rows.delete(id);
    }
    sweepFiles();
  }

  private void sweepFiles() {
    try {
      runner.forgetAllBut(Set.copyOf(rows.listIds()));
    } catch (IOException e) {
      log.warn("Files of former exports could not be removed", e);
    }
  }

  /** Their words may stand in any export, so all go. */
  @EventListener
  void removed(CustomersRemoved removed) {
    rows.deleteAll();
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void forgetAfter(CustomersRemoved removed) {
    sweepFiles();
  }
}
