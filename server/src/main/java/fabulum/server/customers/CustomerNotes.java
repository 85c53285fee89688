package fabulum.server.customers;

import fabulum.core.access.Act;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.customers.CustomerFile.FileNote;
import fabulum.server.customers.store.CustomerFileMapper;
import fabulum.server.platform.Problem;
import java.time.Clock;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is noted about customers. */
@Service
public class CustomerNotes {
  private static final int LONGEST_NOTE = 4_000;

  private final CustomerFileMapper files;
  private final CustomerFiles customers;
  private final CustomerChanges changes;
  private final Permits permits;
  private final Clock clock;

  CustomerNotes(
      CustomerFileMapper files,
      CustomerFiles customers,
      CustomerChanges changes,
      Permits permits,
      Clock clock) {
    this.files = files;
    this.customers = customers;
    this.changes = changes;
    this.permits = permits;
    this.clock = clock;
  }

  /** Notes something about a customer. */
  @Transactional
  public void add(CustomerId id, String words, StaffId by) {
    permits.require(by, Act.WORK);
    customers.requireThere(id);
    String wanted = noted(words);
    files.insertNote(id.value(), wanted, clock.instant(), by.value());
    changes.log(id, Optional.of(by), "note", null, wanted);
  }

  private static String noted(String words) {
    String wanted = words.strip();
    if (wanted.isEmpty() || wanted.length() > LONGEST_NOTE) {
      throw DetailKinds.field("words", "A note has 1 to 4,000 characters.");
    }
    return wanted;
  }

  /**
   * Changes a note, or removes it.
   *
   * @param was what the person saw
   * @param now null to remove it
   */
  @Transactional
  public void change(CustomerId id, long note, String was, @Nullable String now, StaffId by) {
    permits.require(by, Act.WORK);
    customers.requireThere(id);
    FileNote there =
        files.listNotes(id.value()).stream()
            .filter(one -> one.id() == note)
            .findFirst()
            .orElseThrow(() -> Problem.notFound("note"));
    customers.requireChanged(id, there.words().equals(was) ? 1 : 0, "note");
    String wanted = now == null ? null : noted(now);
    if (wanted == null) {
      files.deleteNote(note);
    } else {
      files.updateNote(note, wanted, clock.instant(), by.value());
    }
    changes.log(id, Optional.of(by), "note", was, wanted);
  }
}
