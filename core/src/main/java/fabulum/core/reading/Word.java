package fabulum.core.reading;

/**
 * A word of a text.
 *
 * @param plain in lower case Latin letters without accents
 * @param capital whether it was written with a capital letter
 * @param first whether a sentence or a line begins with it
 * @param possessive whether it ended in {@code 's}
 * @param foreign whether it was written in another script
 * @param after the punctuation that follows it, without spaces; empty for none
 */
public record Word(
    String plain,
    boolean capital,
    boolean first,
    boolean possessive,
    boolean foreign,
    String after) {
  /** Whether a clause or a line ends after it. */
  public boolean endsClause() {
    return after.matches("[.,;:!?\\-–—\\n].*");
  }

  /** Whether it is digits alone. */
  public boolean isNumber() {
    return plain.chars().allMatch(Character::isDigit);
  }

  /** Whether a digit is in it. */
  public boolean hasDigit() {
    return plain.chars().anyMatch(Character::isDigit);
  }
}
