package fabulum.server.templates;

import fabulum.core.template.Filled;
import fabulum.core.template.TemplateReader.Good;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Conversation;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Fills words with placeholders that are kept and sent later. */
@Component
public class Fills {
  private final TemplateBook book;
  private final ConversationValues values;

  Fills(TemplateBook book, ConversationValues values) {
    this.book = book;
    this.values = values;
  }

  /** Words as they go in a conversation now, in a person's name; what is missing is a gap. */
  public String fill(String words, Conversation row, StaffId by) {
    return TemplateBook.LENIENT.read(words) instanceof Good good
            && !good.text().placeholders().isEmpty()
        ? good.text().fill(values.of(row, by)).words()
        : words;
  }

  /**
   * Words as they are kept to be filled later: those of the template when what stands on the paper
   * is that template, filled and not changed since.
   */
  public String kept(String words, @Nullable Long template, Conversation row, StaffId by) {
    if (template == null) {
      return words;
    }
    return book.offered(row, by).stream()
        .filter(leaf -> leaf.row().id() == template)
        .filter(leaf -> filled(leaf, row, by).words().equals(words))
        .map(leaf -> leaf.text().written())
        .findFirst()
        .orElse(words);
  }

  private Filled filled(TemplateBook.Leaf leaf, Conversation row, StaffId by) {
    return leaf.text().fill(values.of(row, by));
  }
}
