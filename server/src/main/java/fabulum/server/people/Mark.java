package fabulum.server.people;

/** How someone is marked beside what they wrote: a drawn shape in an ink of their own. */
public record Mark(Shape shape, Ink ink) {

  /** Shapes, drawn by the page. */
  public enum Shape {
    LEAF,
    SAIL,
    WAVE,
    KNOT,
    STAR,
    BELL,
    KEY,
    DROP
  }

  /** Inks, mixed by the page for either paper. */
  public enum Ink {
    PINE,
    SLATE,
    PLUM,
    RUST,
    OCHRE,
    MOSS,
    TEAL,
    WINE
  }

  /** A mark for someone new, so that the first ones all differ. */
  public static Mark nth(long n) {
    int i = (int) Math.floorMod(n, (long) Shape.values().length);
    int j = (int) Math.floorMod(n * 3, (long) Ink.values().length);
    return new Mark(Shape.values()[i], Ink.values()[j]);
  }
}
