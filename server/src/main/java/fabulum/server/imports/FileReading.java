package fabulum.server.imports;

import static java.util.stream.Collectors.toMap;

import fabulum.core.imports.ColumnGuess;
import fabulum.core.imports.Subject;
import fabulum.core.imports.Target;
import fabulum.server.customers.DetailKind;
import fabulum.server.customers.DetailKinds;
import fabulum.server.imports.store.ImportMapper;
import fabulum.server.lines.Lines;
import fabulum.server.lines.TypedNumbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Reads files: what they are about, and which column is what. */
@Component
class FileReading {
  private static final int SAMPLES = 60;

  private final DetailKinds kinds;
  private final ImportMapper rows;
  private final TypedNumbers numbers;
  private final Lines lines;

  FileReading(DetailKinds kinds, ImportMapper rows, TypedNumbers numbers, Lines lines) {
    this.kinds = kinds;
    this.rows = rows;
    this.numbers = numbers;
    this.lines = lines;
  }

  /**
   * A file as it is read.
   *
   * @param titles of the columns; empty where there are none
   */
  record Read(
      Sheet sheet,
      Subject subject,
      boolean headed,
      List<String> titles,
      List<Target> targets,
      List<Sheet.Row> body) {

    /** Some of what stands in a column. */
    List<String> samples(int column, int most) {
      return body.stream()
          .map(row -> column < row.cells().size() ? row.cells().get(column).strip() : "")
          .filter(cell -> !cell.isEmpty())
          .limit(most)
          .toList();
    }
  }

  /** Reads a file as it was chosen, else as it is guessed. */
  Read read(byte[] octets, ImportChoice choice) {
    Sheet sheet = Sheet.read(octets, choice.encoding(), choice.separator(), lines.zone());
    List<Sheet.Row> all = sheet.rows();
    Subject subject = subject(sheet, choice);
    ColumnGuess guess = guess(subject);
    Boolean chosen = choice.headed();
    boolean headed =
        sheet.isLaidOut()
            || (chosen == null
                ? guess.hasTitles(all.get(0).cells(), columns(all.subList(1, all.size())))
                : chosen);
    List<Sheet.Row> body = headed ? all.subList(1, all.size()) : all;
    List<String> titles = headed ? all.get(0).cells() : List.of();
    List<String> wanted = choice.targets();
    List<Target> targets =
        wanted == null
            ? guess.of(titles, columns(headed ? body : all))
            : wanted.stream()
                .map(Target::read)
                .map(one -> subject.columns().contains(one.what()) ? one : Target.NOTHING)
                .toList();
    return new Read(sheet, subject, headed, titles, targets, body);
  }

  private static Subject subject(Sheet sheet, ImportChoice choice) {
    Optional<Subject> known = sheet.subject();
    Subject chosen = choice.subject();
    return known.isPresent()
        ? known.get()
        : chosen != null
            ? chosen
            : Subject.guess(sheet.rows().get(0).cells().stream().map(ColumnGuess::plain).toList());
  }

  private ColumnGuess guess(Subject subject) {
    Map<String, Long> details =
        kinds.list().stream()
            .filter(kind -> !kind.retired())
            .collect(toMap(DetailKind::name, DetailKind::id, (a, b) -> a));
    Map<String, Target> remembered =
        rows.listMatchings().stream()
            .filter(row -> row.title().startsWith(remembered(subject)))
            .collect(
                toMap(
                    row -> row.title().substring(remembered(subject).length()),
                    row -> Target.read(row.target())));
    return new ColumnGuess(subject, details, remembered, numbers.region());
  }

  /** Before a title that is remembered, so that it means something else in another kind of file. */
  static String remembered(Subject subject) {
    return subject == Subject.CUSTOMERS ? "" : subject.name() + " ";
  }

  private static List<List<String>> columns(List<Sheet.Row> body) {
    int width = body.stream().limit(SAMPLES).mapToInt(row -> row.cells().size()).max().orElse(0);
    List<List<String>> columns = new ArrayList<>();
    for (int i = 0; i < width; i++) {
      int column = i;
      columns.add(
          body.stream()
              .limit(SAMPLES)
              .map(row -> column < row.cells().size() ? row.cells().get(column) : "")
              .toList());
    }
    return columns;
  }
}
