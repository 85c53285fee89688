package fabulum.server.templates;

import fabulum.core.access.Act;
import fabulum.core.template.ShortName;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.imports.Sheet;
import fabulum.server.lines.Lines;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.templates.TemplateBook.Leaf;
import fabulum.server.templates.store.ScopeRow;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Templates out of files and into files. */
@Service
public class TemplateFiles {
  private static final int MOST_TEMPLATES = 20_000;
  private static final int MOST_SHOWN = 100;

  private final Templates templates;
  private final TemplateBook book;
  private final TemplateChecks checks;
  private final Permits permits;
  private final Lines lines;
  private final TemplateColumns columns;

  TemplateFiles(
      Templates templates,
      TemplateBook book,
      TemplateChecks checks,
      Permits permits,
      Lines lines,
      TemplateColumns columns) {
    this.templates = templates;
    this.book = book;
    this.checks = checks;
    this.permits = permits;
    this.lines = lines;
    this.columns = columns;
  }

  /**
   * What becomes of a file, or became of it.
   *
   * @param taken whether it was taken in
   * @param added templates that were not there
   * @param changed templates that read otherwise
   * @param same rows that say what is there already
   * @param left rows that are left out, because something is wrong with them
   * @param problems what is wrong, at most {@value TemplateFiles#MOST_SHOWN}
   */
  public record Taken(
      boolean taken, int added, int changed, int same, int left, List<RowProblem> problems) {
    public Taken {
      problems = List.copyOf(problems);
    }
  }

  /**
   * What is wrong with a row.
   *
   * @param line where it begins in the file; of JSON which object it is
   * @param field its column
   */
  public record RowProblem(long line, String field, String why) {}

  /** All that someone sees, as rows of values with the titles first; an import reads them again. */
  public List<List<String>> values(StaffId asking) {
    permits.require(asking, Act.EXPORT);
    List<List<String>> rows = new ArrayList<>();
    rows.add(TemplateColumns.TITLES);
    templates.list(asking).forEach(one -> rows.add(columns.write(one)));
    return rows;
  }

  /** What would become of a file. */
  public Taken preview(byte[] octets, StaffId by) {
    return new Filing(by, false).read(octets);
  }

  /** Takes a file in: its good rows, all at once; what is wrong is said and left out. */
  @Transactional
  public Taken take(byte[] octets, StaffId by) {
    Taken taken = new Filing(by, true).read(octets);
    templates.changed();
    return taken;
  }

  /** One file. */
  private final class Filing {
    private final StaffId by;
    private final boolean takes;
    private final TemplateChecks.Checking checking;
    private final Map<Long, Leaf> there = new HashMap<>();
    private final List<RowProblem> problems = new ArrayList<>();
    private final int room;
    private int added;
    private int changed;
    private int same;
    private int left;

    Filing(StaffId by, boolean takes) {
      permits.require(by, Act.CHANGE_TEMPLATES);
      this.by = by;
      this.takes = takes;
      book.forget();
      this.checking = checks.by(by);
      book.list(by).forEach(leaf -> there.put(leaf.row().id(), leaf));
      this.room = MOST_TEMPLATES - book.list().size();
    }

    Taken read(byte[] octets) {
      Sheet sheet = Sheet.read(octets, null, null, lines.zone());
      TemplateColumns.Layout layout = columns.layout(sheet.rows().get(0).cells());
      for (Sheet.Row row : sheet.rows().subList(1, sheet.rows().size())) {
        if (row.against().isEmpty()) {
          file(layout, row);
        } else {
          leave(row, List.of(new FieldProblem("", row.against().get(0))));
        }
      }
      return new Taken(takes, added, changed, same, left, problems);
    }

    private void leave(Sheet.Row row, List<FieldProblem> bad) {
      left++;
      bad.stream()
          .limit(Math.max(0, MOST_SHOWN - problems.size()))
          .forEach(one -> problems.add(new RowProblem(row.line(), one.field(), one.why())));
    }

    private void file(TemplateColumns.Layout layout, Sheet.Row row) {
      List<FieldProblem> bad = new ArrayList<>();
      TemplateDraft read = Templates.plain(layout.read(row.cells(), bad));
      long own = own(read);
      Leaf before = there.get(own);
      // A table has no files in it, so those that go with a template stay.
      TemplateDraft wanted = before == null ? read : read.with(before.targets(ScopeRow.Kind.FILE));
      bad.addAll(checking.problems(wanted, own));
      if (own != 0 && (before == null || !checks.mayChange(before, by))) {
        bad.add(new FieldProblem("title", "You may not change this template."));
      } else if (own == 0 && added >= room) {
        bad.add(new FieldProblem("title", "There are 20,000 templates already."));
      }
      if (!bad.isEmpty()) {
        leave(row, bad);
      } else if (before == null) {
        added++;
        long id = takes ? templates.insert(wanted, by).value() : -added;
        checking.add(Templates.row(id, wanted, 0));
      } else if (templates.isSame(before, wanted)) {
        same++;
      } else {
        changed++;
        if (takes) {
          templates.update(new TemplateId(own), wanted, before.row().version(), by);
        }
        // A later row for the same one finds it taken.
        there.remove(own);
        checking.add(Templates.row(own, wanted, 0));
      }
    }

    /** The template a row is about: by its short name, else by folder and title. */
    private long own(TemplateDraft wanted) {
      Optional<Long> named =
          ShortName.problem(wanted.shortName()).isPresent()
              ? Optional.empty()
              : checking.named(wanted.shortName());
      return named
          .or(() -> checking.titled(wanted.folder(), wanted.title()))
          .filter(id -> id > 0)
          .orElse(0L);
    }
  }

  /** Refuses a file without the columns that are needed. */
  static Problem bad(String why) {
    return Problem.fields(List.of(new FieldProblem("file", why)));
  }
}
