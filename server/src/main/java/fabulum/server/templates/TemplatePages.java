package fabulum.server.templates;

import fabulum.core.parts.PartCounter;
import fabulum.core.suggest.Asking;
import fabulum.core.template.Filled;
import fabulum.core.template.Quoted;
import fabulum.core.template.TemplateReader;
import fabulum.core.template.TemplateReader.Good;
import fabulum.core.template.TemplateText;
import fabulum.core.template.Values;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.SightColumns;
import fabulum.server.lines.Sights;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.templates.OfferedTemplate.Gap;
import fabulum.server.templates.TemplateBook.Leaf;
import fabulum.server.templates.store.TemplateMapper;
import fabulum.server.templates.store.UseRow;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** What the book says of a template: how it looks for customers, and how it is used. */
@Service
public class TemplatePages {
  private static final int SAMPLES = 40;
  private static final int LATEST_USES = 300;
  private static final int MOST_NAMES = 5;

  private final TemplateBook book;
  private final TemplateMapper rows;
  private final Placeholders placeholders;
  private final ConversationValues values;
  private final Bookkeeping books;
  private final Sights sights;
  private final People people;

  TemplatePages(
      TemplateBook book,
      TemplateMapper rows,
      Placeholders placeholders,
      ConversationValues values,
      Bookkeeping books,
      Sights sights,
      People people) {
    this.book = book;
    this.rows = rows;
    this.placeholders = placeholders;
    this.values = values;
    this.books = books;
    this.sights = sights;
    this.people = people;
  }

  /**
   * How words of a template look.
   *
   * @param faults what is wrong with them, each with its place
   * @param customer for whom they are filled here; null where nobody has an open conversation
   * @param words filled for that customer; empty while something is wrong
   * @param gaps where a value is missing
   * @param shortest the fewest parts over the latest customers; 0 while something is wrong
   * @param longest the most parts over them
   * @param without of how many of them a value is missing
   * @param customers how many they are
   * @param unquoted the words without the quotation marks around them; null when there are none
   */
  public record Sample(
      List<Fault> faults,
      @Nullable String customer,
      String words,
      List<Gap> gaps,
      int shortest,
      int longest,
      int without,
      int customers,
      @Nullable String unquoted) {
    public Sample {
      faults = List.copyOf(faults);
      gaps = List.copyOf(gaps);
    }
  }

  /**
   * Something wrong.
   *
   * @param at where in the words, in UTF-16 units
   */
  public record Fault(int at, String why) {}

  /** How words look, whether they are a template already or are being written. */
  public Sample sample(String words, StaffId asking) {
    String unquoted = Quoted.within(words).orElse(null);
    TemplateReader.Read read = placeholders.reader().read(words);
    if (read instanceof TemplateReader.Bad bad) {
      List<Fault> faults =
          bad.faults().stream().map(fault -> new Fault(fault.at(), fault.why())).toList();
      return new Sample(faults, null, "", List.of(), 0, 0, 0, 0, unquoted);
    }
    return sample(((Good) read).text(), unquoted, asking);
  }

  private Sample sample(TemplateText text, @Nullable String unquoted, StaffId asking) {
    List<Conversation> samples =
        books.list(
            rows.listSamples(SightColumns.of(sights.of(asking)), SAMPLES).stream()
                .map(ConversationId::new)
                .toList());
    List<Filled> filled = new ArrayList<>();
    for (Conversation row : samples) {
      filled.add(text.fill(values.of(row, asking)));
    }
    Values none = values.of(asking);
    Filled shown = filled.isEmpty() ? text.fill(none) : filled.get(0);
    List<Integer> parts =
        (filled.isEmpty() ? List.of(shown) : filled)
            .stream().map(one -> PartCounter.count(one.words()).count()).sorted().toList();
    return new Sample(
        List.of(),
        samples.isEmpty() ? null : samples.get(0).customerName(),
        shown.words(),
        shown.gaps().stream().map(gap -> new Gap(gap.from(), gap.to(), gap.of().name())).toList(),
        parts.get(0),
        parts.get(parts.size() - 1),
        (int) filled.stream().filter(one -> !one.isWhole()).count(),
        filled.size(),
        unquoted);
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
  public Usage usage(TemplateId id, StaffId asking) {
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

  /**
   * What became of a template since it was put into a text.
   *
   * @param sentence for the person who has it in the text; null when it is as it was
   */
  public record Since(@Nullable String sentence) {}

  /** What became of a template since a version of it was put into a text. */
  public Since since(TemplateId id, long version, StaffId asking) {
    Leaf leaf = book.find(id, asking).orElse(null);
    String kept = " Your text stays as it is.";
    if (leaf == null) {
      return new Since("The template you put in is no longer offered to you." + kept);
    }
    String title = "“" + leaf.row().title() + "”";
    if (leaf.row().retired()) {
      return new Since(title + " was retired after you put it in." + kept);
    }
    return new Since(
        leaf.row().version() == version
            ? null
            : title + " was changed after you put it in." + kept);
  }
}
