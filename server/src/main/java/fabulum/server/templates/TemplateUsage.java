package fabulum.server.templates;

import fabulum.core.suggest.Asking;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.SightColumns;
import fabulum.server.lines.Sights;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.templates.store.TemplateMapper;
import fabulum.server.templates.store.UseRow;
import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** How templates are used. */
@Service
public class TemplateUsage {
  private static final int LATEST_USES = 300;
  private static final int MOST_NAMES = 5;

  private final TemplateBook book;
  private final TemplateMapper rows;
  private final Bookkeeping books;
  private final Sights sights;
  private final People people;

  TemplateUsage(
      TemplateBook book, TemplateMapper rows, Bookkeeping books, Sights sights, People people) {
    this.book = book;
    this.rows = rows;
    this.books = books;
    this.sights = sights;
    this.people = people;
  }

  /**
   * How a template is used, as far as the person who asks sees the conversations.
   *
   * @param times how often
   * @param last when last; null for never
   * @param by who used it most among the latest uses, with how often
   * @param latest how many of the latest uses were looked at
   * @param askedAgain after how many of those the customer asked again within a day
   */
  public record Usage(
      int times, @Nullable Instant last, List<ByWhom> by, int latest, int askedAgain) {
    public Usage {
      by = List.copyOf(by);
    }
  }

  /** How often someone used it. */
  public record ByWhom(String name, int times) {}

  /** How a template is used. */
  public Usage of(TemplateId id, StaffId asking) {
    book.present(id, asking);
    SightColumns sight = SightColumns.of(sights.of(asking));
    List<UseRow> uses = rows.listUses(id.value(), LATEST_USES, sight);
    return new Usage(
        uses.size() < LATEST_USES ? uses.size() : rows.countUses(id.value(), sight),
        uses.isEmpty() ? null : uses.get(0).usedAt(),
        byWhom(uses),
        uses.size(),
        askedAgain(uses));
  }

  private List<ByWhom> byWhom(List<UseRow> uses) {
    Map<Long, StaffView> staff = people.byId();
    Map<Long, Integer> counts = new LinkedHashMap<>();
    uses.forEach(use -> counts.merge(use.staffId(), 1, Integer::sum));
    return counts.entrySet().stream()
        .sorted(Map.Entry.<Long, Integer>comparingByValue(Comparator.reverseOrder()))
        .limit(MOST_NAMES)
        .flatMap(one ->
            Optional.ofNullable(staff.get(one.getKey())).stream()
                .map(who -> new ByWhom(who.name(), one.getValue())))
        .toList();
  }

  private int askedAgain(List<UseRow> uses) {
    List<EntryId> next =
        uses.stream()
            .flatMap(use -> Optional.ofNullable(use.next()).stream())
            .map(EntryId::new)
            .toList();
    return next.isEmpty()
        ? 0
        : (int)
            books.listEntries(next).stream()
                .map(Entry::words)
                .filter(words -> words != null && Asking.asks(words))
                .count();
  }
}
