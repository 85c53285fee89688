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
}
