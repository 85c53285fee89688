package fabulum.server.templates;

import fabulum.core.cost.Money;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A template filled for one conversation.
 *
 * @param words as they would stand on the paper
 * @param gaps where a value is missing in the words, in order
 * @param parts of the text as it would leave, with what is appended to it
 * @param cost of the text; null where no price is set
 * @param recent whether the person has used it lately
 * @param files of the shelf that go with it and are still offered
 */
public record OfferedTemplate(
    long id,
    long version,
    String title,
    String shortName,
    String folder,
    String language,
    boolean favourite,
    boolean recent,
    String words,
    List<Gap> gaps,
    int parts,
    @Nullable Money cost,
    List<Long> files) {
  public OfferedTemplate {
    gaps = List.copyOf(gaps);
    files = List.copyOf(files);
  }

  /**
   * Where a value is missing.
   *
   * @param from in UTF-16 units of the words
   * @param to behind the last one
   * @param name of what is missing
   */
  public record Gap(int from, int to, String name) {}
}
