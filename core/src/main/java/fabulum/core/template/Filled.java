package fabulum.core.template;

import java.util.List;

/**
 * A template with its values.
 *
 * @param words as they stand on the paper; where a value is missing stands {@link
 *     Placeholder#gap()}
 * @param gaps what is missing, in order
 * @param values where values stand in the words, in order
 */
public record Filled(String words, List<Span> gaps, List<Span> values) {
  public Filled {
    gaps = List.copyOf(gaps);
    values = List.copyOf(values);
  }

  /**
   * A stretch of the words.
   *
   * @param from in UTF-16 units
   * @param to behind the last one
   */
  public record Span(int from, int to, Placeholder of) {}

  /** Whether it can be sent as it is. */
  public boolean isWhole() {
    return gaps.isEmpty();
  }
}
