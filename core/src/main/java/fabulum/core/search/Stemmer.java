package fabulum.core.search;

/** Words without the endings of grammar, in one language or several. */
@FunctionalInterface
public interface Stemmer {
  /** Knows no language: a word is found as it is written. */
  Stemmer NONE = (one, other) -> false;

  /**
   * Whether two words are forms of the same one; {@code lifts} and {@code lifting} are.
   *
   * @param one in lower case with its accents
   * @param other in lower case with its accents
   */
  boolean areForms(String one, String other);
}
