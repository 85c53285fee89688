package fabulum.core.identify;

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
record Word(
    String plain,
    boolean capital,
    boolean first,
    boolean possessive,
    boolean foreign,
    String after) {
  boolean endsClause() {
    return after.matches("[.,;:!?\\-–—\\n].*");
  }

  boolean isNumber() {
    return plain.chars().allMatch(Character::isDigit);
  }

  boolean hasDigit() {
    return plain.chars().anyMatch(Character::isDigit);
  }
}
