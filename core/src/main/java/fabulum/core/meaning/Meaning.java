package fabulum.core.meaning;

/**
 * Turns words into a point of a space in which what means about the same lies close together. May
 * be left out; then letters decide alone.
 */
public interface Meaning {
  /**
   * Where words lie.
   *
   * @return always of the same length; the direction counts, not the length
   */
  float[] of(String words);

  /**
   * The same told apart more finely, where few texts are compared: points are longer, and each
   * takes about twice the time. It is this one itself where there is nothing finer.
   */
  default Meaning fine() {
    return this;
  }
}
