package fabulum.server.imports;

import fabulum.core.imports.CustomerRef;
import fabulum.core.imports.RowReader;
import fabulum.core.imports.RowReader.Refused;
import fabulum.core.imports.Target;
import fabulum.core.imports.Target.What;
import fabulum.core.imports.WorkReader;
import fabulum.server.access.StaffId;
import fabulum.server.clientele.CustomerLookup.Known;
import fabulum.server.customers.CustomerId;
import fabulum.server.imports.FileReading.Read;
import fabulum.server.imports.WhoseRow.Finder;
import fabulum.server.imports.WhoseRow.Found;
import fabulum.server.imports.store.ImportMapper;
import fabulum.server.imports.store.ImportMapper.ChangeRow;
import fabulum.server.lines.Lines;
import fabulum.server.lines.TypedNumbers;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.RaceRetry;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/**
 * Files with appointments or jobs: what they have in common.
 *
 * @param <R> what a row says
 * @param <B> what is on file
 */
abstract class WorkImport<R extends RowReader.Row, B> implements ImportKind {
  private static final int CHUNK = 200;

  private final Tools tools;
  private final Class<R> row;
  private final Class<B> onFile;
  private final String kind;

  /**
   * Begins.
   *
   * @param kind how changes of it are kept
   */
  WorkImport(Tools tools, Class<R> row, Class<B> onFile, String kind) {
    this.tools = tools;
    this.row = row;
    this.onFile = onFile;
    this.kind = kind;
  }

  /** What it works with. */
  @Component
  record Tools(
      WhoseRow whose,
      ImportMapper rows,
      Lines lines,
      TypedNumbers numbers,
      TransactionTemplate transactions,
      JsonMapper json) {}

  abstract RowReader.Row read(WorkReader reader, List<Target> targets, List<String> cells);

  abstract CustomerRef customerOf(R said);

  /** That which a row is about; empty when it is new. */
  abstract Optional<B> find(R said, CustomerId customer);

  /** By what rows about the same thing are told; empty when nothing says it. */
  abstract Optional<String> mark(R said, CustomerId customer);

  abstract long idOf(B one);

  abstract CustomerId customerOf(B one);

  abstract Optional<B> find(long id);

  /** What is wrong with it as it would be. */
  abstract List<FieldProblem> problems(R said, Optional<B> before);

  /** What would change, for people; empty for nothing. */
  abstract List<String> differences(R said, B before);

  abstract long add(CustomerId customer, R said, StaffId by);

  abstract boolean change(B before, R said, StaffId by);

  abstract boolean restore(@Nullable B before, B after, StaffId by);

  @Override
  public List<PlannedRow> plan(Read read, ImportChoice choice) {
    Planning planning =
        new Planning(
            tools.whose().now(),
            new WorkReader(tools.lines().zone(), tools.numbers().region()),
            choice);
    return read.body().stream().map(one -> planning.plan(read.targets(), one)).toList();
  }

  /** Works out what becomes of the rows of one file. */
  private final class Planning {
    private final Finder finder;
    private final WorkReader reader;
    private final ImportChoice choice;
    private final Map<String, Long> seen = new HashMap<>();

    Planning(Finder finder, WorkReader reader, ImportChoice choice) {
      this.finder = finder;
      this.reader = reader;
      this.choice = choice;
    }

    PlannedRow plan(List<Target> targets, Sheet.Row from) {
      if (!from.against().isEmpty()) {
        return PlannedRow.refused(from, from.against());
      }
      Optional<Found> named = named(targets, from);
      RowReader.Row said =
          read(
              reader,
              with(targets, named),
              named.map(found -> with(from.cells(), found)).orElse(from.cells()));
      if (!row.isInstance(said)) {
        return PlannedRow.refused(from, ((Refused) said).why());
      }
      R wanted = row.cast(said);
      Found whose =
          named
              .filter(found -> choice.answer(from.line()) == null)
              .orElseGet(() -> finder.find(customerOf(wanted), choice.answer(from.line())));
      Known known = whose.customer();
      if (known == null) {
        return PlannedRow.refused(from, List.of(whose.why()));
      }
      return whose.sure()
          ? meets(from, wanted, known)
          : planned(from, Fate.ASKED, wanted, known, List.of(whose.why()));
    }

    /** Of a row that does not say for whom it is: a customer whose name stands in what it is. */
    private Optional<Found> named(List<Target> targets, Sheet.Row from) {
      boolean said =
          WHOSE.stream()
              .mapToInt(what -> targets.indexOf(Target.of(what)))
              .anyMatch(i -> i >= 0 && i < from.cells().size() && !from.cells().get(i).isBlank());
      int what = targets.indexOf(Target.of(What.WHAT));
      return said || what < 0 || what >= from.cells().size()
          ? Optional.empty()
          : finder.named(from.cells().get(what));
    }

    private List<Target> with(List<Target> targets, Optional<Found> named) {
      List<Target> more = new ArrayList<>(targets);
      named.ifPresent(found -> {
        more.replaceAll(one -> one.what() == What.NAME ? Target.NOTHING : one);
        more.add(0, Target.of(What.NAME));
      });
      return more;
    }

    private List<String> with(List<String> cells, Found found) {
      List<String> more = new ArrayList<>(cells);
      more.add(0, found.customer() == null ? "" : found.customer().name());
      return more;
    }

    private PlannedRow meets(Sheet.Row from, R wanted, Known known) {
      CustomerId customer = new CustomerId(known.id());
      Long before =
          mark(wanted, customer).map(mark -> seen.putIfAbsent(mark, from.line())).orElse(null);
      if (before != null) {
        return PlannedRow.refused(from, List.of("Line " + before + " is about the same."));
      }
      Optional<B> there = find(wanted, customer);
      List<FieldProblem> bad = problems(wanted, there);
      if (!bad.isEmpty()) {
        return PlannedRow.refused(
            from, bad.stream().map(one -> one.field() + ": " + one.why()).toList());
      }
      if (there.isEmpty()) {
        return planned(from, Fate.NEW, wanted, known, List.of("for " + known.name()));
      }
      if (!customerOf(there.get()).equals(customer)) {
        return PlannedRow.refused(from, List.of("It is on file for another customer."));
      }
      List<String> differences = differences(wanted, there.get());
      return planned(
          from, differences.isEmpty() ? Fate.SAME : Fate.CHANGED, wanted, known, differences);
    }

    private PlannedRow planned(
        Sheet.Row from, Fate fate, R wanted, Known known, List<String> words) {
      return new PlannedRow(
          from.line(), PlannedRow.shown(from), fate, wanted, known.id(), known.name(), words);
    }
  }

  private static final List<What> WHOSE =
      List.of(What.NAME, What.CUSTOMER_ID, What.NUMBER, What.EMAIL);

  @Override
  public Came take(List<PlannedRow> some, ImportTaking.Of of) {
    int added = 0;
    int changed = 0;
    for (PlannedRow planned : some) {
      if (!row.isInstance(planned.said()) || planned.known() == null) {
        continue;
      }
      R said = row.cast(planned.said());
      CustomerId customer = new CustomerId(planned.known());
      Optional<B> there = find(said, customer);
      if (there.isEmpty()) {
        keep(of, customer, add(customer, said, of.by()), null);
        added++;
      } else if (change(there.get(), said, of.by())) {
        keep(of, customer, idOf(there.get()), there.get());
        changed++;
      }
    }
    return new Came(added, changed);
  }

  private void keep(ImportTaking.Of of, CustomerId customer, long id, @Nullable B before) {
    String was = before == null ? null : tools.json().writeValueAsString(before);
    String is = tools.json().writeValueAsString(find(id).orElseThrow());
    tools.rows().insertChange(of.act(), customer.value(), kind, id, was, is);
  }

  @Override
  public int undo(long act, long staff) {
    int stay = 0;
    int some = 1;
    while (some > 0) {
      Undone undone =
          RaceRetry.run(() -> tools.transactions().execute(status -> undoSome(act, staff)));
      stay += undone == null ? 0 : undone.stay();
      some = undone == null ? 0 : undone.looked();
    }
    return stay;
  }

  private record Undone(int looked, int stay) {}

  private Undone undoSome(long act, long staff) {
    List<ChangeRow> changes = tools.rows().listChanges(act, CHUNK);
    int stay = 0;
    for (ChangeRow change : changes) {
      B before = change.before() == null ? null : tools.json().readValue(change.before(), onFile);
      B after = tools.json().readValue(String.valueOf(change.after()), onFile);
      stay += restore(before, after, new StaffId(staff)) ? 0 : 1;
      tools.rows().deleteChange(change.id());
    }
    return new Undone(changes.size(), stay);
  }
}
