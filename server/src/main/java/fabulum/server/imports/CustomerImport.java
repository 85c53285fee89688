package fabulum.server.imports;

import fabulum.core.imports.RowReader.Customer;
import fabulum.core.imports.Subject;
import fabulum.server.imports.FileReading.Read;
import java.util.List;
import org.springframework.stereotype.Component;

/** Files with customers. */
@Component
class CustomerImport implements ImportKind {
  private final CustomerPlan plans;
  private final ImportTaking taking;
  private final ImportUndoing undoing;

  CustomerImport(CustomerPlan plans, ImportTaking taking, ImportUndoing undoing) {
    this.plans = plans;
    this.taking = taking;
    this.undoing = undoing;
  }

  @Override
  public Subject subject() {
    return Subject.CUSTOMERS;
  }

  @Override
  public List<PlannedRow> plan(Read read, ImportChoice choice) {
    return plans.plan(read, choice);
  }

  @Override
  public Came take(List<PlannedRow> some, ImportTaking.Of of) {
    int added = 0;
    int changed = 0;
    for (PlannedRow row : some) {
      if (!(row.said() instanceof Customer customer)) {
        continue;
      }
      if (row.fate() == Fate.NEW) {
        taking.add(customer, of);
        added++;
      } else if (row.known() != null) {
        changed += taking.change(row.known(), customer, of) ? 1 : 0;
      }
    }
    return new Came(added, changed);
  }

  @Override
  public int undo(long act, long staff) {
    return undoing.undo(act, staff);
  }

  @Override
  public String stay(int count) {
    return count
        + (count == 1 ? " customer stays" : " customers stay")
        + ", because more was said of them since, or they were joined with another.";
  }
}
