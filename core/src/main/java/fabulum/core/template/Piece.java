package fabulum.core.template;

/** A part of a template. */
public sealed interface Piece permits Piece.Words, Placeholder {

  /** As it is stored. */
  String written();

  /** Words that every text made from the template has; without braces. */
  record Words(String written) implements Piece {
    public Words {
      if (written.indexOf('{') >= 0 || written.indexOf('}') >= 0) {
        throw new IllegalArgumentException("Braces belong to placeholders");
      }
    }
  }
}
