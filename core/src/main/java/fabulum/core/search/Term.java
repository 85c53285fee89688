package fabulum.core.search;

/**
 * A word, number or emoji of a text.
 *
 * @param plain in lower case and without accents, as it is compared; a number written in pieces
 *     begins with {@link #NUMBER}
 * @param written in lower case with its accents, from which stems are made
 * @param position its place among the words, from 0; a number in pieces has that of its first piece
 * @param from where it begins in the text, in UTF-16 units
 * @param to where it ends, exclusive
 */
public record Term(String plain, String written, int position, int from, int to) {
  /** What stands before a number that was put together from its pieces. */
  public static final String NUMBER = "#";
}
