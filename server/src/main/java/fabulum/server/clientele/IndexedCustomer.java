package fabulum.server.clientele;

import fabulum.core.identify.Twins;
import fabulum.core.sentence.CustomerSentence;
import fabulum.core.sentence.CustomerSentence.DetailIs;
import fabulum.core.text.Latin;
import fabulum.core.text.Tokens;
import fabulum.server.clientele.store.IndexedRow;
import fabulum.server.clientele.store.IndexedRow.Part;
import fabulum.server.clientele.store.IndexedRow.PieceRow;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A customer as the place of all customers knows them in memory.
 *
 * @param sortKey the name without case and accents
 * @param words all that they can be found by, without case and accents, between spaces
 * @param digits of their numbers, between spaces
 * @param details by kind
 * @param name taken apart
 */
record IndexedCustomer(
    IndexedRow row,
    String sortKey,
    String words,
    String digits,
    Map<Long, String> details,
    Set<Long> lists,
    Twins.Name name)
    implements Comparable<IndexedCustomer> {

  /** Fewer digits are sought as words. */
  private static final int SHORTEST_DIGITS = 3;

  static IndexedCustomer of(IndexedRow row, List<PieceRow> pieces) {
    String all =
        Stream.concat(
                Stream.of(
                        Optional.of(row.name()),
                        Optional.ofNullable(row.kind()),
                        Optional.ofNullable(row.email()),
                        Optional.ofNullable(row.outsideId()))
                    .flatMap(Optional::stream),
                pieces.stream()
                    .filter(piece -> piece.part() != Part.LIST && piece.part() != Part.NUMBER)
                    .map(PieceRow::words))
            .collect(Collectors.joining(" "));
    return new IndexedCustomer(
        row,
        folded(row.name()),
        folded(all) + " " + all.toLowerCase(Locale.ROOT),
        pieces.stream()
            .filter(piece -> piece.part() == Part.NUMBER)
            .map(piece -> piece.words().replaceAll("\\D", ""))
            .collect(Collectors.joining(" ")),
        pieces.stream()
            .filter(piece -> piece.part() == Part.DETAIL)
            .collect(Collectors.toUnmodifiableMap(PieceRow::ref, PieceRow::words)),
        pieces.stream()
            .filter(piece -> piece.part() == Part.LIST)
            .map(PieceRow::ref)
            .collect(Collectors.toUnmodifiableSet()),
        Twins.Name.of(row.name()));
  }

  private static String folded(String words) {
    return String.join(" ", Tokens.of(Latin.of(words)));
  }

  /** Whether they have a number, an address or a detail in common. */
  boolean sharesWith(IndexedCustomer other) {
    String mail = row.email();
    return (mail != null && mail.equalsIgnoreCase(other.row.email()))
        || details.entrySet().stream()
            .anyMatch(one -> one.getValue().equals(other.details.get(one.getKey())))
        || Stream.of(digits.split(" "))
            .anyMatch(number -> !number.isEmpty() && other.digits.contains(number));
  }

  long id() {
    return row.id();
  }

  /**
   * What someone looks for.
   *
   * @param words each must be found somewhere
   * @param digits all digits that were typed, when nothing but a number was; empty otherwise
   */
  record Sought(List<String> words, String digits) {
    static Sought of(String typed) {
      String digits = typed.replaceAll("\\D", "");
      boolean number = digits.length() >= SHORTEST_DIGITS && typed.matches("[\\d\\s()+./-]+");
      boolean odd = typed.indexOf('@') >= 0;
      List<String> words =
          odd ? List.of(typed.strip().toLowerCase(Locale.ROOT)) : Tokens.of(Latin.of(typed));
      return new Sought(words, number ? digits : "");
    }

    /** Whether a word is looked for in numbers as well. */
    static boolean isInDigits(String word) {
      return word.length() >= SHORTEST_DIGITS && Character.isDigit(word.charAt(0));
    }
  }

  /** Whether the parts of a sentence that are on file agree. */
  boolean agrees(CustomerSentence sentence) {
    return (sentence.site().isEmpty()
            || (row.siteId() != null && row.siteId() == sentence.site().getAsLong()))
        && (sentence.kind().isEmpty() || sentence.kind().equalsIgnoreCase(row.kind()))
        && (sentence.list().isEmpty() || lists.contains(sentence.list().getAsLong()))
        && sentence.detail().filter(is -> !has(is)).isEmpty();
  }

  private boolean has(DetailIs is) {
    String there = details.get(is.id());
    return there != null
        && there.toLowerCase(Locale.ROOT).contains(is.words().toLowerCase(Locale.ROOT));
  }

  @Override
  public int compareTo(IndexedCustomer other) {
    int byName = sortKey.compareTo(other.sortKey);
    return byName != 0 ? byName : Long.compare(row.id(), other.row.id());
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof IndexedCustomer one && compareTo(one) == 0;
  }

  @Override
  public int hashCode() {
    return Long.hashCode(row.id());
  }
}
