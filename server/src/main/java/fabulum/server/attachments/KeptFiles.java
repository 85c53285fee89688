package fabulum.server.attachments;

import fabulum.core.access.Act;
import fabulum.core.attachment.FileName;
import fabulum.core.text.OneLine;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.attachments.AttachmentRemoval.Forgotten;
import fabulum.server.attachments.Preparation.Ready;
import fabulum.server.attachments.store.KeptFileMapper;
import fabulum.server.attachments.store.KeptFileRow;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.io.InputStream;
import java.nio.file.Path;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Files that are kept to be sent: the team's shelf, and what is kept with single customers. They
 * are kept clean, as they may be sent.
 */
@Service
public class KeptFiles {
  private static final int LONGEST_TITLE = 80;
  private static final int MOST_ON_SHELF = 1_000;

  private final KeptFileMapper files;
  private final Intake intake;
  private final Papers papers;
  private final Permits permits;
  private final Clock clock;

  KeptFiles(KeptFileMapper files, Intake intake, Papers papers, Permits permits, Clock clock) {
    this.files = files;
    this.intake = intake;
    this.papers = papers;
    this.permits = permits;
    this.clock = clock;
  }

  /** The team's shelf by title, those that are retired last. */
  public List<KeptFile> listShelf() {
    Map<Long, Set<Long>> lines = new HashMap<>();
    files
        .listLines()
        .forEach(row ->
            lines.computeIfAbsent(row.keptFileId(), none -> new TreeSet<>()).add(row.lineId()));
    return files.listShelf().stream()
        .map(row -> row.file(lines.getOrDefault(row.id(), Set.of())))
        .toList();
  }

  /** What is kept with a customer, the newest first. */
  public List<KeptFile> listOfCustomer(long customer) {
    return files.listOfCustomer(customer).stream().map(row -> row.file(Set.of())).toList();
  }

  /** A kept file. */
  public KeptFile get(long id) {
    KeptFileRow row = files.find(id).orElseThrow(() -> Problem.notFound("file"));
    return row.file(Set.of());
  }

  /**
   * Puts a file on the shelf, or keeps it with a customer.
   *
   * @param customer null for the shelf
   * @throws Problem with the reason when it can never be sent; nothing is kept then
   */
  public KeptFile put(@Nullable Long customer, String name, InputStream content, StaffId by) {
    permits.require(by, customer == null ? Act.CHANGE_TEMPLATES : Act.WORK);
    if (customer == null && files.listShelf().size() >= MOST_ON_SHELF) {
      throw Problem.fields(
          List.of(new FieldProblem("file", "The shelf holds 1,000 files at most.")));
    }
    Ready ready = intake.take(name, content, intake.largest());
    KeptFile made =
        new KeptFile(
            0,
            customer,
            null,
            title(ready.name()),
            ready.name(),
            ready.mediaType(),
            ready.content().octets(),
            ready.content().hash(),
            ready.preview(),
            ready.size() == null ? null : ready.size().width(),
            ready.size() == null ? null : ready.size().height(),
            false,
            by.value(),
            clock.instant(),
            1,
            Set.of());
    try {
      return get(files.insert(made));
    } catch (DataIntegrityViolationException noSuchCustomer) {
      throw Problem.notFound("customer");
    }
  }

  private static String title(String name) {
    String plain = FileName.as(name, "").replace('_', ' ').strip();
    return plain.length() > LONGEST_TITLE ? plain.substring(0, LONGEST_TITLE).strip() : plain;
  }

  /**
   * A kept file as a person wants it.
   *
   * @param lines from which it is offered; empty for all
   * @param version that they saw
   */
  public record Change(String title, boolean retired, Set<Long> lines, long version) {
    public Change {
      lines = Set.copyOf(lines);
    }
  }

  /** Changes a file of the shelf. */
  @Transactional
  public void change(long id, Change wanted, StaffId by) {
    permits.require(by, Act.CHANGE_TEMPLATES);
    KeptFile file = get(id);
    if (file.customerId() != null) {
      throw Problem.notFound("file");
    }
    String title = wanted.title().strip();
    if (title.isEmpty() || title.length() > LONGEST_TITLE) {
      throw Problem.fields(
          List.of(new FieldProblem("title", "Give it a title of 1 to 80 characters.")));
    }
    OneLine.objection(title)
        .ifPresent(why -> {
          throw Problem.fields(List.of(new FieldProblem("title", why)));
        });
    if (files.update(id, title, wanted.retired(), wanted.version()) == 0) {
      throw Problem.changedMeanwhile("file");
    }
    files.deleteLines(id);
    try {
      wanted.lines().forEach(line -> files.insertLine(id, line));
    } catch (DataIntegrityViolationException noSuchLine) {
      throw Problem.fields(List.of(new FieldProblem("lines", "Choose lines from the list.")));
    }
  }

  /**
   * Says to which job of its customer a file belongs.
   *
   * @param job null for none
   */
  public void putWithJob(long id, @Nullable Long job, StaffId by) {
    permits.require(by, Act.WORK);
    Long customer = get(id).customerId();
    if (customer == null) {
      throw Problem.notFound("file");
    }
    if (!isPut(id, job, customer)) {
      throw Problem.fields(List.of(new FieldProblem("job", "Choose a job of this customer.")));
    }
  }

  private boolean isPut(long id, @Nullable Long job, long customer) {
    try {
      return (job == null || files.isJobOf(job, customer)) && files.setJob(id, job) > 0;
    } catch (DataIntegrityViolationException jobIsGone) {
      return false;
    }
  }

  /** Keeps a file of a customer no longer; what was sent stays in its script. */
  public void remove(long id, StaffId by) {
    permits.require(by, Act.WORK);
    if (files.deleteOfCustomer(id) == 0) {
      throw Problem.notFound("file");
    }
  }

  /** The content of a kept file, if it is here. */
  public Optional<Path> content(KeptFile file) {
    return intake.find(file.hash());
  }

  /** Its picture in small, if there is one. */
  public Optional<Path> preview(KeptFile file) {
    return file.preview() == null ? Optional.empty() : intake.find(file.preview());
  }

  /** Puts a kept file on a person's paper as well. */
  public AttachmentView putOnPaper(long id, long conversation, StaffId by, long most) {
    KeptFile file = get(id);
    return papers.putCopy(conversation, by, file.name(), content(file), most);
  }

  /**
   * Forgets what is kept with customers who are removed for good; see {@link
   * AttachmentRemoval#forget}.
   */
  public Forgotten forget(List<Long> customers) {
    List<String> hashes = files.listContents(customers);
    files.deleteOfCustomers(customers);
    return new Forgotten(hashes);
  }
}
