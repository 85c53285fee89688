package fabulum.server.setup;

import fabulum.core.customer.DetailType;
import fabulum.server.access.StaffId;
import fabulum.server.customers.DetailKind;
import fabulum.server.customers.DetailKinds;
import fabulum.server.customers.DetailSetup;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Service;

/** Sets up the extra fields of customers. Each change is kept with who made it and when. */
@Service
public class DetailSetUp {
  private final DetailKinds kinds;
  private final ChangeBook changes;
  private final SetUpChanges all;

  DetailSetUp(DetailKinds kinds, ChangeBook changes, SetUpChanges all) {
    this.kinds = kinds;
    this.changes = changes;
    this.all = all;
  }

  /** Adds an extra field. */
  public Outcome add(DetailSetup wanted, StaffId by) {
    return all.carryOut(
        by,
        () -> {
          long id = kinds.add(wanted);
          changes.note(by, "detail " + wanted.name().strip(), "added", null, type(wanted.type()));
          return id;
        });
  }

  /**
   * Renames an extra field, or changes what may stand in it, or retires it or brings it back.
   *
   * @param seen the version it was changed from
   */
  public Outcome change(long id, DetailSetup wanted, long seen, StaffId by) {
    return all.carryOut(
        by,
        () -> {
          DetailKind before = kinds.present(id);
          kinds.change(id, wanted, seen);
          changes.noteAll(by, "detail " + before.name(), said(before), said(kinds.present(id)));
          return id;
        });
  }

  /** Puts the extra fields in another order. */
  public Outcome order(List<Long> ids, StaffId by) {
    return all.carryOut(
        by,
        () -> {
          String before = names();
          kinds.order(ids);
          changes.note(by, "details", "order", before, names());
          return 0L;
        });
  }

  private String names() {
    return String.join(", ", kinds.list().stream().map(DetailKind::name).toList());
  }

  private static Map<String, String> said(DetailKind kind) {
    Map<String, String> said = new LinkedHashMap<>();
    said.put("name", kind.name());
    said.put("type", type(kind.type()));
    said.put("choices", String.join(", ", kind.listChoices()));
    said.put("retired", kind.retired() ? "yes" : "no");
    return said;
  }

  private static String type(DetailType type) {
    return type.name().toLowerCase(Locale.ROOT);
  }
}
