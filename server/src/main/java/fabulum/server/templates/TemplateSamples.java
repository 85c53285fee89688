package fabulum.server.templates;

import fabulum.core.parts.PartCounter;
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
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.SightColumns;
import fabulum.server.lines.Sights;
import fabulum.server.templates.OfferedTemplate.Gap;
import fabulum.server.templates.TemplateBook.Leaf;
import fabulum.server.templates.store.TemplateMapper;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** How templates look for customers, and what becomes of them while they stand in a text. */
@Service
public class TemplateSamples {
  private static final int SAMPLES = 40;

  private final TemplateBook book;
  private final TemplateMapper rows;
  private final Placeholders placeholders;
  private final ConversationValues values;
  private final Bookkeeping books;
  private final InSight inSight;
  private final Sights sights;

  TemplateSamples(
      TemplateBook book,
      TemplateMapper rows,
      Placeholders placeholders,
      ConversationValues values,
      Bookkeeping books,
      InSight inSight,
      Sights sights) {
    this.book = book;
    this.rows = rows;
    this.placeholders = placeholders;
    this.values = values;
    this.books = books;
    this.inSight = inSight;
    this.sights = sights;
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
   * Words that were written in a conversation, made into a template: what is known of the customer
   * becomes a placeholder.
   */
  public String unfilled(ConversationId id, String words, StaffId asking) {
    return placeholders.unfilled(words, values.of(inSight.row(id, asking), asking));
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
