package fabulum.server.exports;

import fabulum.core.sentence.HistorySentence;
import fabulum.server.access.StaffId;
import fabulum.server.attachments.FileStore;
import fabulum.server.exports.store.ExportMapper;
import fabulum.server.exports.store.ExportRow;
import fabulum.server.history.History;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.platform.DataSettings;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Makes exports one after the other in the background. A file is written under another name and
 * moved into place when it is whole; what was being made when the program stopped is made anew.
 */
@Component
class ExportRunner implements DisposableBean {
  /** The id of its export, and what it is. */
  private static final Pattern FILE = Pattern.compile("(\\d{1,18})\\.\\w+");

  private static final Logger log = LoggerFactory.getLogger(ExportRunner.class);

  private static final int PATIENCE_SECONDS = 1_800;

  private final ExportMapper rows;
  private final History history;
  private final ScriptLines lines;
  private final FileStore files;
  private final People people;
  private final Path folder;
  private final ExecutorService worker = Executors.newSingleThreadExecutor(ExportRunner::daemon);
  private volatile boolean stopping;

  ExportRunner(
      ExportMapper rows,
      History history,
      ScriptLines lines,
      FileStore files,
      People people,
      DataSettings data) {
    this.rows = rows;
    this.history = history;
    this.lines = lines;
    this.files = files;
    this.people = people;
    this.folder = data.exports();
  }

  private static Thread daemon(Runnable work) {
    Thread thread = new Thread(work, "exports");
    thread.setDaemon(true);
    thread.setPriority(Thread.MIN_PRIORITY);
    return thread;
  }

  @EventListener(ApplicationReadyEvent.class)
  void goOn() {
    rows.listToMake().forEach(row -> begin(row.id()));
  }

  void begin(long id) {
    worker.execute(() -> rows.find(id).ifPresent(this::make));
  }

  /** Where the file of an export lies, once it is ready. */
  Path file(ExportRow row) {
    return folder.resolve(row.id() + "." + ending(row));
  }

  static String ending(ExportRow row) {
    return row.withFiles() ? "zip" : row.format().ending();
  }

  /** Takes the file away. */
  void forget(long id) throws IOException {
    if (Files.isDirectory(folder)) {
      try (var all = Files.list(folder)) {
        for (Path file :
            all.filter(one -> one.getFileName().toString().startsWith(id + ".")).toList()) {
          Files.deleteIfExists(file);
        }
      }
    }
  }

  /** Takes all files away but those of some exports, and those that are of none at all. */
  void forgetAllBut(Set<Long> kept) throws IOException {
    if (Files.isDirectory(folder)) {
      try (var all = Files.list(folder)) {
        for (Path file : all.toList()) {
          Matcher name = FILE.matcher(file.getFileName().toString());
          if (name.matches() && !kept.contains(Long.valueOf(name.group(1)))) {
            Files.deleteIfExists(file);
          }
        }
      }
    }
  }

  private void make(ExportRow row) {
    Path part = folder.resolve(row.id() + ".part");
    try {
      rows.setState(row.id(), ExportState.RUNNING, null);
      awaitHistory();
      Files.createDirectories(folder);
      try (OutputStream out = Files.newOutputStream(part)) {
        write(row, out);
      }
      Files.move(part, file(row), StandardCopyOption.REPLACE_EXISTING);
      if (rows.setState(row.id(), ExportState.READY, null) == 0) {
        forget(row.id());
      }
    } catch (IOException | RuntimeException e) {
      failed(row, part, e);
    }
  }

  /** While History is being prepared, only a part of it would be exported. */
  private void awaitHistory() throws IOException {
    for (int i = 0; !history.isComplete(); i++) {
      if (stopping || i == PATIENCE_SECONDS) {
        throw new IOException("History cannot be searched");
      }
      LockSupport.parkNanos(TimeUnit.SECONDS.toNanos(1));
    }
  }

  private void failed(ExportRow row, Path part, Exception e) {
    if (stopping) {
      return;
    }
    log.warn("An export could not be made", e);
    boolean full = e instanceof IOException && String.valueOf(e.getMessage()).contains("space");
    rows.setState(
        row.id(),
        ExportState.FAILED,
        full
            ? "The disk is full. Nothing was kept of this export; ask for it again when there is room."
            : "It could not be made, and nothing was kept of it. Ask for it again.");
    try {
      Files.deleteIfExists(part);
    } catch (IOException left) {
      log.debug("What was written of it lies there until it is swept away", left);
    }
  }

  private void write(ExportRow row, OutputStream out) throws IOException {
    if (!row.withFiles()) {
      write(row, out, new ArrayList<>());
      return;
    }
    List<ScriptLine.File> all = new ArrayList<>();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      zip.putNextEntry(new ZipEntry("script." + row.format().ending()));
      write(row, new Unclosed(zip), all);
      zip.closeEntry();
      StringBuilder manifest = new StringBuilder();
      for (ScriptLine.File file : all) {
        if (!file.file().isEmpty()) {
          zip.putNextEntry(new ZipEntry(file.file()));
          copy(file, zip);
          zip.closeEntry();
          manifest.append(file.sha256()).append("  ").append(file.file()).append('\n');
        }
      }
      zip.putNextEntry(new ZipEntry("SHA256SUMS"));
      zip.write(manifest.toString().getBytes(java.nio.charset.StandardCharsets.UTF_8));
      zip.closeEntry();
    }
  }

  private void copy(ScriptLine.File file, OutputStream out) throws IOException {
    try {
      Files.copy(files.place(file.sha256()), out);
    } catch (NoSuchFileException lost) {
      throw new IOException("The content of an attachment is missing", lost);
    }
  }

  private void write(ExportRow row, OutputStream out, List<ScriptLine.File> all)
      throws IOException {
    HistorySentence sentence = HistorySentence.read(row.said());
    StaffId asking = new StaffId(row.staffId());
    try (ScriptWriter script = writer(row, out)) {
      int[] done = {0};
      history.walk(
          sentence,
          asking,
          (some, total) -> {
            if (stopping) {
              throw new IOException("Fabulum stops");
            }
            List<ScriptLine> shown = lines.of(some, row.withFiles());
            script.write(shown);
            shown.forEach(line -> all.addAll(line.attachments()));
            done[0] += some.size();
            rows.setProgress(row.id(), done[0], total);
          });
      script.end();
    }
  }

  private ScriptWriter writer(ExportRow row, OutputStream out) throws IOException {
    return switch (row.format()) {
      case CSV -> new CsvScript(new Unclosed(out));
      case JSON -> new JsonScript(new Unclosed(out));
      case PDF ->
          new PdfScript(
              new Unclosed(out),
              row.title(),
              PdfScript.made(
                  Optional.ofNullable(people.byId().get(row.staffId()))
                      .map(StaffView::name)
                      .orElse("a colleague"),
                  row.madeAt()));
    };
  }

  /** Goes on after a writer has closed it. */
  private static final class Unclosed extends FilterOutputStream {
    Unclosed(OutputStream out) {
      super(out);
    }

    @Override
    public void write(byte[] octets, int from, int length) throws IOException {
      out.write(octets, from, length);
    }

    @Override
    public void close() throws IOException {
      flush();
    }
  }

  @Override
  public void destroy() {
    stopping = true;
    worker.shutdownNow();
  }
}
