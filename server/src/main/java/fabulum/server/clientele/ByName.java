package fabulum.server.clientele;

import fabulum.server.clientele.IndexedCustomer.Sought;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collections;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.util.function.SingletonSupplier;

/**
 * All customers by name, at one moment. What can be found of them lies in one piece, made when it
 * is first asked for, so that looking for a word is one walk through memory rather than a visit to
 * each of a hundred thousand.
 */
final class ByName {
  private final List<IndexedCustomer> customers;
  private final Supplier<Haystack> words;
  private final Supplier<Haystack> digits;

  /**
   * Takes them.
   *
   * @param customers in order; not changed any more
   */
  ByName(List<IndexedCustomer> customers) {
    this.customers = Collections.unmodifiableList(customers);
    this.words = SingletonSupplier.of(() -> Haystack.of(customers, IndexedCustomer::words));
    this.digits = SingletonSupplier.of(() -> Haystack.of(customers, IndexedCustomer::digits));
  }

  List<IndexedCustomer> all() {
    return customers;
  }

  /** The place behind a customer. */
  int after(IndexedCustomer one) {
    int at = Collections.binarySearch(customers, one);
    return at < 0 ? -at - 1 : at + 1;
  }

  /** The places of those who have what is looked for. */
  BitSet find(Sought sought) {
    BitSet found = new BitSet(customers.size());
    found.set(0, customers.size());
    for (String word : sought.words()) {
      BitSet some = words.get().with(word);
      if (Sought.isInDigits(word)) {
        some.or(digits.get().with(word));
      }
      found.and(some);
    }
    if (!sought.digits().isEmpty()) {
      found.or(digits.get().with(sought.digits()));
    }
    return found;
  }

  /**
   * Pieces of text one behind the other.
   *
   * @param ends where each piece ends, with the sign behind it
   */
  private record Haystack(String all, int[] ends) {
    private static final char END = '\n';

    static Haystack of(List<IndexedCustomer> customers, Function<IndexedCustomer, String> piece) {
      StringBuilder all = new StringBuilder(customers.size() * 64);
      int[] ends = new int[customers.size()];
      for (int i = 0; i < ends.length; i++) {
        all.append(piece.apply(customers.get(i)).replace(END, ' ')).append(END);
        ends[i] = all.length();
      }
      return new Haystack(all.toString(), ends);
    }

    /** The places of pieces that contain a word, which is not empty. */
    BitSet with(String word) {
      BitSet found = new BitSet(ends.length);
      int place = 0;
      for (int at = all.indexOf(word); at >= 0; at = all.indexOf(word, ends[place])) {
        int end = Arrays.binarySearch(ends, place, ends.length, at + 1);
        place = end < 0 ? -end - 1 : end;
        found.set(place);
      }
      return found;
    }
  }
}
