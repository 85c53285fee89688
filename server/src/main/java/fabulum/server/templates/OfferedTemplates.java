package fabulum.server.templates;

import fabulum.core.cost.Money;
import fabulum.core.parts.PartCounter;
import fabulum.core.sending.Author;
import fabulum.core.template.Filled;
import fabulum.core.template.ShortName;
import fabulum.core.template.TemplateFinder;
import fabulum.core.template.Values;
import fabulum.server.access.StaffId;
import fabulum.server.attachments.KeptFile;
import fabulum.server.attachments.KeptFiles;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.InSight;
import fabulum.server.cost.Costs;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.messaging.Messaging;
import fabulum.server.sending.Wanted;
import fabulum.server.templates.ConversationValues.Known;
import fabulum.server.templates.OfferedTemplate.Gap;
import fabulum.server.templates.TemplateBook.Leaf;
import fabulum.server.templates.store.ScopeRow;
import fabulum.server.templates.store.TemplateMapper;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** The templates a person can put into a text, filled for whom they write to. */
@Service
public class OfferedTemplates {
  private static final Duration LATELY = Duration.ofDays(60);
  private static final int MOST_RECENT = 12;
  private static final int PAGE = 20;

  private final TemplateBook book;
  private final TemplateMapper rows;
  private final ConversationValues values;
  private final InSight inSight;
  private final Filling filling;
  private final Clock clock;
  private final KeptFiles kept;

  OfferedTemplates(
      TemplateBook book,
      TemplateMapper rows,
      ConversationValues values,
      InSight inSight,
      Filling filling,
      Clock clock,
      KeptFiles kept) {
    this.kept = kept;
    this.book = book;
    this.rows = rows;
    this.values = values;
    this.inSight = inSight;
    this.filling = filling;
    this.clock = clock;
  }

  /**
   * A page of templates.
   *
   * @param templates at most {@value OfferedTemplates#PAGE}
   * @param all how many were found
   */
  public record Page(List<OfferedTemplate> templates, int all) {
    public Page {
      templates = List.copyOf(templates);
    }
  }

  /**
   * Templates for a conversation: a person's favourites first, then what they used lately, then by
   * folder and title; with words those that have them, the best first. Among equals those in the
   * customer's language come first, and those in another one last.
   *
   * @param typed beginnings of words; blank for all
   * @param from how many to leave out
   */
  public Page find(ConversationId id, String typed, int from, StaffId asking) {
    Conversation row = inSight.row(id, asking);
    Mine mine = mine(asking);
    Map<Long, Leaf> offered = new LinkedHashMap<>();
    Known known = values.of(row, asking);
    List<Leaf> leaves = bySpoken(book.offered(row, asking), known.language());
    mine.inOrder(leaves).forEach(leaf -> offered.put(leaf.row().id(), leaf));
    List<TemplateFinder.Entry> found =
        TemplateFinder.find(typed, offered.values().stream().map(Leaf::entry).toList());
    List<Leaf> page =
        found.stream()
            .skip(Math.max(0, from))
            .limit(PAGE)
            .flatMap(entry -> Optional.ofNullable(offered.get(entry.key())).stream())
            .toList();
    return new Page(fill(page, row, known, mine, asking), found.size());
  }

  private static List<Leaf> bySpoken(List<Leaf> leaves, String language) {
    if (language.isEmpty()) {
      return leaves;
    }
    return leaves.stream()
        .sorted(Comparator.comparingInt(leaf -> strangeness(leaf.row().language(), language)))
        .toList();
  }

  private static int strangeness(String of, String spoken) {
    return of.equals(spoken) ? 0 : of.isEmpty() ? 1 : 2;
  }

  /** What is typed for each template of a conversation, with Tab behind it. */
  public List<String> listShortNames(ConversationId id, StaffId asking) {
    return book.offered(inSight.row(id, asking), asking).stream()
        .map(leaf -> leaf.row().shortName())
        .filter(name -> !name.isEmpty())
        .toList();
  }

  /** The template that a short name stands for in a conversation. */
  public Optional<OfferedTemplate> named(ConversationId id, String shortName, StaffId asking) {
    String plain = ShortName.plain(shortName);
    Conversation row = inSight.row(id, asking);
    List<Leaf> named =
        book.offered(row, asking).stream()
            .filter(leaf -> !plain.isEmpty() && leaf.row().shortName().equals(plain))
            .toList();
    return fill(named, row, asking).stream().findFirst();
  }

  /** Templates filled for a conversation, those of them that are offered there, in this order. */
  List<OfferedTemplate> fill(Conversation row, List<Long> ids, StaffId asking) {
    List<Leaf> offered = book.offered(row, asking);
    List<Leaf> wanted =
        ids.stream().flatMap(id -> offered.stream().filter(leaf -> leaf.row().id() == id)).toList();
    return fill(wanted, row, asking);
  }

  private List<OfferedTemplate> fill(List<Leaf> leaves, Conversation row, StaffId asking) {
    return leaves.isEmpty()
        ? List.of()
        : fill(leaves, row, values.of(row, asking), mine(asking), asking);
  }

  private List<OfferedTemplate> fill(
      List<Leaf> leaves, Conversation row, Values known, Mine mine, StaffId asking) {
    if (leaves.isEmpty()) {
      return List.of();
    }
    Filling.Measure measure = filling.measure(row, asking);
    Set<Long> shelf = shelf(leaves);
    return leaves.stream().map(leaf -> offered(leaf, known, measure, mine, shelf)).toList();
  }

  private static OfferedTemplate offered(
      Leaf leaf, Values known, Filling.Measure measure, Mine mine, Set<Long> shelf) {
    Filled filled = leaf.text().fill(known);
    int parts = measure.parts(filled.words());
    long id = leaf.row().id();
    return new OfferedTemplate(
        id,
        leaf.row().version(),
        leaf.row().title(),
        leaf.row().shortName(),
        leaf.row().folder(),
        leaf.row().language(),
        mine.favourites().contains(id),
        mine.recent().contains(id),
        filled.words(),
        filled.gaps().stream().map(gap -> new Gap(gap.from(), gap.to(), gap.of().name())).toList(),
        parts,
        measure.cost(parts).orElse(null),
        leaf.targets(ScopeRow.Kind.FILE).stream().filter(shelf::contains).sorted().toList());
  }

  /** What the shelf has for templates with which something goes. */
  private Set<Long> shelf(List<Leaf> leaves) {
    return leaves.stream().allMatch(leaf -> leaf.targets(ScopeRow.Kind.FILE).isEmpty())
        ? Set.of()
        : kept.listShelf().stream()
            .filter(file -> !file.retired())
            .map(KeptFile::id)
            .collect(Collectors.toSet());
  }

  /** What a person likes and uses. */
  private record Mine(Set<Long> favourites, Set<Long> recent) {
    List<Leaf> inOrder(List<Leaf> leaves) {
      List<Leaf> first = new ArrayList<>();
      leaves.stream().filter(leaf -> favourites.contains(leaf.row().id())).forEach(first::add);
      recent.stream()
          .filter(id -> !favourites.contains(id))
          .flatMap(id -> leaves.stream().filter(leaf -> leaf.row().id() == id))
          .forEach(first::add);
      leaves.stream()
          .filter(leaf -> !favourites.contains(leaf.row().id()))
          .filter(leaf -> !recent.contains(leaf.row().id()))
          .forEach(first::add);
      return first;
    }
  }

  private Mine mine(StaffId asking) {
    Instant since = clock.instant().minus(LATELY);
    return new Mine(
        Set.copyOf(rows.listFavourites(asking.value())),
        new LinkedHashSet<>(rows.listUsedBy(asking.value(), since, MOST_RECENT)));
  }

  /** How long texts of a conversation are, and what they cost. */
  @org.springframework.stereotype.Component
  static class Filling {
    private static final String PROBE = "x";

    private final Messaging messaging;
    private final Costs costs;
    private final Lines lines;
    private final Clock clock;

    Filling(Messaging messaging, Costs costs, Lines lines, Clock clock) {
      this.messaging = messaging;
      this.costs = costs;
      this.lines = lines;
      this.clock = clock;
    }

    /**
     * Measures texts of one conversation.
     *
     * @param appended what is put below each of them
     */
    record Measure(String appended, LineView line, Costs costs, Instant now) {
      int parts(String words) {
        return PartCounter.count(words + appended).count();
      }

      Optional<Money> cost(int parts) {
        return costs.textOut(line, parts, now);
      }
    }

    Measure measure(Conversation row, StaffId by) {
      Wanted probe = Wanted.of(PROBE, new Author.Person(by.value()), null);
      String leaving =
          messaging
              .look(new ConversationId(row.id()), probe, List.of(), null)
              .decided()
              .content()
              .leaving();
      String appended = leaving.startsWith(PROBE) ? leaving.substring(PROBE.length()) : "";
      return new Measure(appended, lines.get(new LineId(row.lineId())), costs, clock.instant());
    }
  }
}
