package fabulum.server.imports;

import static java.util.stream.Collectors.toMap;

import fabulum.core.imports.PastTextReader;
import fabulum.core.imports.PastTextReader.PastText;
import fabulum.core.imports.RowReader;
import fabulum.core.imports.RowReader.Refused;
import fabulum.core.imports.Subject;
import fabulum.core.phone.PhoneNumber;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.PastTexts;
import fabulum.server.conversations.PastTexts.Past;
import fabulum.server.imports.FileReading.Read;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.lines.TypedNumbers;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.platform.RaceRetry;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Files with texts of the time before. */
@Component
class PastTextImport implements ImportKind {
  private static final int CHUNK = 500;

  private final PastTexts past;
  private final Lines lines;
  private final People people;
  private final TypedNumbers numbers;
  private final TransactionTemplate transactions;
  private final Clock clock;

  PastTextImport(
      PastTexts past,
      Lines lines,
      People people,
      TypedNumbers numbers,
      TransactionTemplate transactions,
      Clock clock) {
    this.past = past;
    this.lines = lines;
    this.people = people;
    this.numbers = numbers;
    this.transactions = transactions;
    this.clock = clock;
  }

  @Override
  public Subject subject() {
    return Subject.TEXTS;
  }

  @Override
  public List<PlannedRow> plan(Read read, ImportChoice choice) {
    PastTextReader reader = new PastTextReader(terms());
    Map<String, StaffId> staff = staff();
    Map<String, Long> seen = new HashMap<>();
    List<PlannedRow> planned = new ArrayList<>();
    for (Sheet.Row row : read.body()) {
      RowReader.Row said = reader.read(read.targets(), row.cells());
      planned.add(
          said instanceof PastText text
              ? planned(row, text, past(text, staff), seen)
              : PlannedRow.refused(row, ((Refused) said).why()));
    }
    return planned;
  }

  private PastTextReader.Terms terms() {
    List<LineView> all = lines.list();
    return new PastTextReader.Terms(
        all.stream()
            .collect(
                toMap(line -> line.name().toLowerCase(Locale.ROOT), LineView::id, (a, b) -> a)),
        all.stream().collect(toMap(line -> new PhoneNumber(line.number()), LineView::id)),
        lines.zone(),
        numbers.region(),
        clock.instant());
  }

  /** Colleagues by name and e-mail; a name that two have is nobody's. */
  private Map<String, StaffId> staff() {
    Map<String, StaffId> staff = new HashMap<>();
    for (StaffView one : people.list()) {
      String name = one.name().toLowerCase(Locale.ROOT);
      if (staff.put(name, new StaffId(one.id())) != null) {
        staff.remove(name);
      }
    }
    for (StaffView one : people.list()) {
      people
          .findEmail(new StaffId(one.id()))
          .ifPresent(mail -> staff.put(mail.toLowerCase(Locale.ROOT), new StaffId(one.id())));
    }
    return staff;
  }

  private static Past past(PastText text, Map<String, StaffId> staff) {
    StaffId author = staff.get(text.author().toLowerCase(Locale.ROOT));
    return new Past(
        new LineId(text.line()),
        text.other(),
        text.at(),
        text.in(),
        text.words(),
        author,
        author != null || text.author().isEmpty() ? null : text.author(),
        text.outsideId().orElse(null));
  }

  private PlannedRow planned(Sheet.Row row, PastText text, Past told, Map<String, Long> seen) {
    Long before = seen.putIfAbsent(told.mark(), row.line());
    List<String> words =
        before == null ? List.of() : List.of("the same text stands in line " + before);
    Fate fate = before != null || past.isHere(told) ? Fate.SAME : Fate.NEW;
    return new PlannedRow(row.line(), PlannedRow.shown(row), fate, text, null, null, words);
  }

  @Override
  public Came take(List<PlannedRow> some, ImportTaking.Of of) {
    Map<String, StaffId> staff = staff();
    List<Past> texts =
        some.stream()
            .flatMap(row -> row.said() instanceof PastText text ? Stream.of(text) : Stream.empty())
            .map(text -> past(text, staff))
            .toList();
    return new Came(past.add(texts, of.act()), 0);
  }

  @Override
  public int undo(long act, long staff) {
    Integer gone = 1;
    while (gone != null && gone > 0) {
      gone = RaceRetry.run(() -> transactions.execute(status -> past.takeBack(act, CHUNK)));
    }
    return 0;
  }

  @Override
  public String stay(int count) {
    return count + " stay.";
  }
}
