package fabulum.core.template;

import fabulum.core.template.Filled.Span;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** The words of a template, with placeholders between them. */
public record TemplateText(List<Piece> pieces) {
  public TemplateText {
    pieces = List.copyOf(pieces);
  }

  /** As it is stored; {@link TemplateReader} reads it back. */
  public String written() {
    return pieces.stream().map(Piece::written).collect(Collectors.joining());
  }

  /** Only the words that every text made from it has. */
  public String plain() {
    return pieces.stream()
        .filter(Piece.Words.class::isInstance)
        .map(Piece::written)
        .collect(Collectors.joining(" "));
  }

  /** Its placeholders, in order. */
  public List<Placeholder> placeholders() {
    return pieces.stream()
        .filter(Placeholder.class::isInstance)
        .map(Placeholder.class::cast)
        .toList();
  }

  /**
   * Fills it. A value is never read as a placeholder: its braces become round ones, so that nothing
   * but a gap has any.
   */
  public Filled fill(Values values) {
    StringBuilder words = new StringBuilder();
    List<Span> gaps = new ArrayList<>();
    List<Span> filled = new ArrayList<>();
    for (Piece piece : pieces) {
      int from = words.length();
      if (piece instanceof Placeholder one) {
        Optional<String> value = value(one, values);
        words.append(value.orElseGet(one::gap));
        (value.isPresent() ? filled : gaps).add(new Span(from, words.length(), one));
      } else {
        words.append(piece.written());
      }
    }
    return new Filled(words.toString(), gaps, filled);
  }

  private static Optional<String> value(Placeholder one, Values values) {
    return values
        .find(one.whose(), one.name())
        .map(value -> value.replace('{', '(').replace('}', ')').strip())
        .filter(value -> !value.isEmpty())
        .or(one::fallback);
  }
}
