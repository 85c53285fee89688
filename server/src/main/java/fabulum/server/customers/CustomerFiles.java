package fabulum.server.customers;

import fabulum.core.access.Act;
import fabulum.core.customer.DetailType;
import fabulum.core.text.Language;
import fabulum.core.text.MailAddress;
import fabulum.core.text.OneLine;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.customers.CustomerFile.Contact;
import fabulum.server.customers.CustomerFile.Field;
import fabulum.server.customers.CustomerFile.FileChange;
import fabulum.server.customers.store.CustomerFileMapper;
import fabulum.server.lines.Lines;
import fabulum.server.lines.SiteView;
import fabulum.server.platform.Problem;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What is on file of customers, and changing it. A field is changed from what the person saw: who
 * comes second is told, and nothing of the first is lost.
 */
@Service
public class CustomerFiles {
  private static final int MOST_CHANGES = 100;

  private final CustomerFileMapper files;
  private final DetailKinds kinds;
  private final CustomerLists lists;
  private final Lines lines;
  private final CustomerChanges changes;
  private final Permits permits;

  CustomerFiles(
      CustomerFileMapper files,
      DetailKinds kinds,
      CustomerLists lists,
      Lines lines,
      CustomerChanges changes,
      Permits permits) {
    this.files = files;
    this.kinds = kinds;
    this.lists = lists;
    this.lines = lines;
    this.changes = changes;
    this.permits = permits;
  }

  /** Adds a customer of whom only the name is known. */
  @Transactional
  public CustomerId add(String name, StaffId by) {
    permits.require(by, Act.WORK);
    String wanted = name.strip();
    objection(Field.NAME, wanted.isEmpty() ? null : wanted)
        .ifPresent(why -> {
          throw DetailKinds.field("name", why);
        });
    CustomerId id = new CustomerId(files.insert(wanted));
    changes.log(id, Optional.of(by), "customer", null, wanted);
    return id;
  }

  /** What is on file; empty for nobody. */
  public Optional<CustomerFile> find(CustomerId id) {
    return files
        .findFields(id.value())
        .map(fields ->
            new CustomerFile(
                fields.id(),
                fields.name(),
                fields.kind(),
                fields.email(),
                fields.siteId(),
                fields.outsideId(),
                fields.language(),
                fields.joinedInto(),
                files.listContacts(id.value()),
                files.listDetails(id.value()),
                lists.of(id),
                files.listNotes(id.value())));
  }

  /** What changed of a customer, the newest first. */
  public List<FileChange> listChanges(CustomerId id) {
    return files.listChanges(id.value(), MOST_CHANGES);
  }

  /** The kinds of customer there are, by name. */
  public List<String> listKinds() {
    return files.listKinds();
  }

  /**
   * Changes a field.
   *
   * @param was what the person saw; null for nothing
   * @param now null for nothing; the id of a site; the code of a language
   */
  @Transactional
  public void change(
      CustomerId id, Field field, @Nullable String was, @Nullable String now, StaffId by) {
    permits.require(by, Act.WORK);
    String wanted = now == null || now.isBlank() ? null : now.strip();
    objection(field, wanted)
        .ifPresent(why -> {
          throw DetailKinds.field("now", why);
        });
    if (Objects.equals(was, wanted)) {
      return;
    }
    int changed = field == Field.SITE ? setSite(id, was, wanted) : set(id, field, was, wanted);
    requireChanged(id, changed, field.words());
    changes.log(id, Optional.of(by), field.words(), said(field, was), said(field, wanted));
  }

  private int set(CustomerId id, Field field, @Nullable String was, @Nullable String wanted) {
    try {
      return files.setWords(id.value(), field, was, wanted);
    } catch (DuplicateKeyException taken) {
      throw DetailKinds.field("now", "Another customer has this " + field.words() + ".");
    }
  }

  private int setSite(CustomerId id, @Nullable String was, @Nullable String wanted) {
    return files.setSite(id.value(), idOf(was), idOf(wanted));
  }

  private static @Nullable Long idOf(@Nullable String words) {
    return words == null ? null : Long.valueOf(words);
  }

  private @Nullable String said(Field field, @Nullable String words) {
    return field != Field.SITE || words == null ? words : site(words).orElse(words);
  }

  private Optional<String> site(String id) {
    return lines.listSites().stream()
        .filter(site -> String.valueOf(site.id()).equals(id))
        .map(SiteView::name)
        .findFirst();
  }

  Optional<String> objection(Field field, @Nullable String wanted) {
    if (wanted == null) {
      return field == Field.NAME ? Optional.of("A name is needed.") : Optional.empty();
    }
    if (wanted.length() > field.longest()) {
      return Optional.of("At most " + field.longest() + " characters.");
    }
    if (field == Field.EMAIL && !MailAddress.is(wanted)) {
      return Optional.of("Not a valid e-mail address.");
    }
    if (field == Field.SITE && site(wanted).isEmpty()) {
      return Optional.of("There is no such site.");
    }
    if (field == Field.LANGUAGE && Language.find(wanted).isEmpty()) {
      return Optional.of(
          "“" + wanted + "” is no language that Fabulum knows. It knows " + Language.codes() + ".");
    }
    return OneLine.objection(wanted);
  }

  /** Refuses where nothing was changed, saying why: somebody changed it, or it is gone. */
  void requireChanged(CustomerId id, int changed, String what) {
    if (changed == 0) {
      boolean there =
          files.findFields(id.value()).filter(one -> one.joinedInto() == null).isPresent();
      throw there
          ? Problem.conflict(
              Problem.Kind.CHANGED_MEANWHILE,
              "A colleague has changed this "
                  + what
                  + " in the meantime. Yours was not saved; please look again.")
          : Problem.notFound("customer");
    }
  }

  /**
   * Changes an extra field.
   *
   * @param was what the person saw; null for nothing
   * @param now null for nothing
   */
  @Transactional
  public void changeDetail(
      CustomerId id, long kindId, @Nullable String was, @Nullable String now, StaffId by) {
    permits.require(by, Act.WORK);
    DetailKind kind = kinds.present(kindId);
    String wanted = now == null || now.isBlank() ? null : read(kind, now);
    if (Objects.equals(was, wanted)) {
      return;
    }
    files.lock(id.value());
    String there = files.findDetail(id.value(), kindId).orElse(null);
    boolean asSeen = Objects.equals(there, was);
    requireChanged(id, asSeen && isThere(id) ? 1 : 0, kind.name());
    if (there != null) {
      files.deleteDetail(id.value(), kindId);
    }
    if (wanted != null) {
      files.insertDetail(id.value(), kindId, wanted);
    }
    changes.log(id, Optional.of(by), kind.name(), was, wanted);
  }

  private boolean isThere(CustomerId id) {
    return files.findFields(id.value()).filter(one -> one.joinedInto() == null).isPresent();
  }

  private String read(DetailKind kind, String words) {
    DetailType.Read read = kinds.read(kind, words);
    if (read instanceof DetailType.Understood understood) {
      return understood.words();
    }
    throw DetailKinds.field("now", ((DetailType.Refused) read).why());
  }

  /** Refuses a customer who is not there. */
  void requireThere(CustomerId id) {
    files.lock(id.value());
    if (!isThere(id)) {
      throw Problem.notFound("customer");
    }
  }

  /** Adds a person of a firm. */
  @Transactional
  public void addContact(CustomerId id, String name, StaffId by) {
    permits.require(by, Act.WORK);
    requireThere(id);
    String wanted = name.strip();
    objection(Field.NAME, wanted.isEmpty() ? null : wanted)
        .ifPresent(why -> {
          throw DetailKinds.field("name", why);
        });
    files.insertContact(id.value(), wanted);
    changes.log(id, Optional.of(by), "contact", null, wanted);
  }

  /** Removes a person of a firm. */
  @Transactional
  public void removeContact(CustomerId id, long contact, StaffId by) {
    permits.require(by, Act.WORK);
    requireThere(id);
    Contact gone =
        files.listContacts(id.value()).stream()
            .filter(one -> one.id() == contact)
            .findFirst()
            .orElseThrow(() -> Problem.notFound("contact"));
    files.deleteContact(id.value(), contact);
    changes.log(id, Optional.of(by), "contact", gone.name(), null);
  }
}
