package fabulum.server.customers;

import fabulum.core.customer.DetailType;
import fabulum.core.text.OneLine;
import fabulum.server.customers.CustomerFile.Contact;
import fabulum.server.customers.CustomerFile.Field;
import fabulum.server.customers.CustomerFile.Fields;
import fabulum.server.customers.CustomerFile.FileDetail;
import fabulum.server.customers.store.CustomerFileMapper;
import fabulum.server.lines.Lines;
import fabulum.server.lines.SiteView;
import fabulum.server.platform.Problem.FieldProblem;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Customers as another program tells them, which names them by an outside id. The caller has
 * checked what is told ({@link #problems}).
 */
@Service
public class ToldCustomers {
  private static final int MOST_CONTACTS = 50;

  private final CustomerFileMapper files;
  private final CustomerFiles fields;
  private final DetailKinds kinds;
  private final Lines lines;
  private final CustomerChanges changes;

  ToldCustomers(
      CustomerFileMapper files,
      CustomerFiles fields,
      DetailKinds kinds,
      Lines lines,
      CustomerChanges changes) {
    this.files = files;
    this.fields = fields;
    this.kinds = kinds;
    this.lines = lines;
    this.changes = changes;
  }

  /**
   * What is told of a customer. What is null stays; what is blank or empty is emptied.
   *
   * @param site by name
   * @param details by the name of the field
   */
  public record Told(
      @Nullable String name,
      @Nullable String kind,
      @Nullable String email,
      @Nullable String site,
      @Nullable List<String> contacts,
      @Nullable Map<String, String> details) {

    private Map<Field, Optional<String>> words() {
      Map<Field, Optional<String>> words = new LinkedHashMap<>();
      put(words, Field.NAME, name);
      put(words, Field.KIND, kind);
      put(words, Field.EMAIL, email);
      return words;
    }

    private static void put(
        Map<Field, Optional<String>> words, Field field, @Nullable String told) {
      if (told != null) {
        words.put(field, told.isBlank() ? Optional.empty() : Optional.of(told.strip()));
      }
    }

    private Map<String, String> detailsOrNone() {
      return details == null ? Map.of() : details;
    }
  }

  /**
   * All that is wrong with what is told.
   *
   * @param isNew whether there is no such customer yet
   */
  public List<FieldProblem> problems(Told told, boolean isNew) {
    List<FieldProblem> bad = new ArrayList<>();
    if (isNew && told.name() == null) {
      bad.add(new FieldProblem("name", "A new customer needs a name."));
    }
    told.words()
        .forEach((field, words) ->
            fields
                .objection(field, words.orElse(null))
                .ifPresent(why -> bad.add(new FieldProblem(named(field), why))));
    if (told.site() != null && !told.site().isBlank() && site(told.site()).isEmpty()) {
      bad.add(new FieldProblem("site", "There is no site “" + told.site() + "”."));
    }
    contacts(told, bad);
    told.detailsOrNone().forEach((name, words) -> detail(name, words, bad));
    return bad;
  }

  private static String named(Field field) {
    return field == Field.EMAIL ? "email" : field.words();
  }

  private static void contacts(Told told, List<FieldProblem> bad) {
    List<String> contacts = told.contacts() == null ? List.of() : told.contacts();
    if (contacts.size() > MOST_CONTACTS) {
      bad.add(new FieldProblem("contacts", "At most " + MOST_CONTACTS + " contacts."));
    }
    for (String one : contacts) {
      if (one.isBlank() || one.length() > 160 || !OneLine.is(one)) {
        bad.add(new FieldProblem("contacts", "A contact has 1 to 160 characters, on one line."));
      }
    }
  }

  private void detail(String name, String words, List<FieldProblem> bad) {
    Optional<DetailKind> kind = kind(name);
    if (kind.isEmpty()) {
      bad.add(new FieldProblem("details." + name, "There is no such detail."));
    } else if (!words.isBlank()
        && kinds.read(kind.get(), words) instanceof DetailType.Refused refused) {
      bad.add(new FieldProblem("details." + name, refused.why()));
    }
  }

  private Optional<DetailKind> kind(String name) {
    return kinds.list().stream()
        .filter(one -> one.name().equalsIgnoreCase(name.strip()))
        .findFirst();
  }

  private Optional<SiteView> site(String name) {
    return lines.listSites().stream()
        .filter(one -> one.name().equalsIgnoreCase(name.strip()))
        .findFirst();
  }

  /** Whom an outside id names; of one who was joined, who they turned out to be. */
  public Optional<CustomerId> find(String outsideId) {
    return files.findByOutsideId(outsideId).map(this::whoTheyAre).map(CustomerId::new);
  }

  private long whoTheyAre(long id) {
    Long into = files.findFields(id).map(Fields::joinedInto).orElse(null);
    return into == null ? id : whoTheyAre(into);
  }

  /** Those with an outside id, in its order, after one. */
  public List<CustomerId> listAfter(String outsideId, int limit) {
    return files.listByOutsideId(outsideId, limit).stream().map(CustomerId::new).toList();
  }

  /** Adds a customer, within a transaction. */
  @Transactional(propagation = Propagation.MANDATORY)
  public CustomerId add(String outsideId, Told told, Changer by) {
    CustomerId id = new CustomerId(files.insert(String.valueOf(told.name()).strip()));
    files.setWords(id.value(), Field.OUTSIDE_ID, null, outsideId);
    changes.log(id, by, "customer", null, told.name());
    change(id, told, by);
    return id;
  }

  /** Gives a customer who has none an outside id, within a transaction. */
  @Transactional(propagation = Propagation.MANDATORY)
  public boolean adopt(CustomerId id, String outsideId, Changer by) {
    boolean adopted = files.setWords(id.value(), Field.OUTSIDE_ID, null, outsideId) > 0;
    if (adopted) {
      changes.log(id, by, Field.OUTSIDE_ID.words(), null, outsideId);
    }
    return adopted;
  }

  /** Changes what is told otherwise than it is, within a transaction. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void change(CustomerId id, Told told, Changer by) {
    files.lock(id.value());
    Fields now = files.findFields(id.value()).orElseThrow();
    told.words().forEach((field, words) -> words(id, field, now, words.orElse(null), by));
    if (told.site() != null) {
      site(id, now, told.site(), by);
    }
    if (told.contacts() != null) {
      contacts(id, told.contacts(), by);
    }
    told.detailsOrNone().forEach((name, words) -> detail(id, name, words, by));
  }

  private void words(CustomerId id, Field field, Fields now, @Nullable String wanted, Changer by) {
    String was = field == Field.NAME ? now.name() : field == Field.KIND ? now.kind() : now.email();
    if (!Objects.equals(was, wanted) && files.setWords(id.value(), field, was, wanted) > 0) {
      changes.log(id, by, field.words(), was, wanted);
    }
  }

  private void site(CustomerId id, Fields now, String name, Changer by) {
    Long wanted = name.isBlank() ? null : site(name).map(SiteView::id).orElse(null);
    if (!Objects.equals(now.siteId(), wanted)
        && files.setSite(id.value(), now.siteId(), wanted) > 0) {
      String was =
          lines.listSites().stream()
              .filter(one -> Objects.equals(one.id(), now.siteId()))
              .map(SiteView::name)
              .findFirst()
              .orElse(null);
      changes.log(id, by, Field.SITE.words(), was, name.isBlank() ? null : name);
    }
  }

  private void contacts(CustomerId id, List<String> told, Changer by) {
    List<String> wanted = told.stream().map(String::strip).distinct().toList();
    List<Contact> there = files.listContacts(id.value());
    for (Contact one : there) {
      if (!wanted.contains(one.name())) {
        files.deleteContact(id.value(), one.id());
        changes.log(id, by, "contact", one.name(), null);
      }
    }
    List<String> names = there.stream().map(Contact::name).toList();
    for (String one : wanted) {
      if (!names.contains(one)) {
        files.insertContact(id.value(), one);
        changes.log(id, by, "contact", null, one);
      }
    }
  }

  private void detail(CustomerId id, String name, String told, Changer by) {
    DetailKind kind = kind(name).orElseThrow();
    String wanted =
        told.isBlank() ? null : ((DetailType.Understood) kinds.read(kind, told)).words();
    String was =
        files.listDetails(id.value()).stream()
            .filter(one -> one.kindId() == kind.id())
            .map(FileDetail::words)
            .findFirst()
            .orElse(null);
    if (Objects.equals(was, wanted)) {
      return;
    }
    if (was != null) {
      files.deleteDetail(id.value(), kind.id());
    }
    if (wanted != null) {
      files.insertDetail(id.value(), kind.id(), wanted);
    }
    changes.log(id, by, kind.name(), was, wanted);
  }
}
