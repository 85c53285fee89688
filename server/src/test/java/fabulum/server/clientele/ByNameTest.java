package fabulum.server.clientele;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.clientele.IndexedCustomer.Sought;
import fabulum.server.clientele.store.IndexedRow;
import fabulum.server.clientele.store.IndexedRow.Part;
import fabulum.server.clientele.store.IndexedRow.PieceRow;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ByNameTest {
  private static final List<String> PIECES =
      List.of("ada", "Ma", "rsh", "Łuk", "asz", "99", "berth 9", "o'b", "\nada", "Zoë", " ");
  private static final List<String> TYPED =
      List.of(
          "a", "ada", "adam", "marsh ada", "555", "5550", "99", "(920) 555", "x@", "lukasz", "");

  private static IndexedCustomer customer(long id, Random random) {
    StringBuilder name = new StringBuilder("c");
    for (int i = random.nextInt(4); i >= 0; i--) {
      name.append(PIECES.get(random.nextInt(PIECES.size())));
    }
    String mail = random.nextInt(3) == 0 ? name.charAt(0) + "x@post.example" : null;
    List<PieceRow> pieces =
        List.of(
            new PieceRow(id, Part.NUMBER, 0, "+1920555" + (1000 + random.nextInt(9000))),
            new PieceRow(id, Part.NOTE, 0, PIECES.get(random.nextInt(PIECES.size()))));
    return IndexedCustomer.of(
        new IndexedRow(id, name.toString(), null, mail, null, null, null), pieces);
  }

  /** Each by itself, word by word. */
  private static boolean has(IndexedCustomer one, Sought sought) {
    return (!sought.digits().isEmpty() && one.digits().contains(sought.digits()))
        || sought.words().stream()
            .allMatch(word ->
                one.words().contains(word)
                    || (Sought.isInDigits(word) && one.digits().contains(word)));
  }

  @Test
  void findsWhatAVisitToEachFinds() {
    long seed = 20_261_128;
    Random random = new Random(seed);
    for (int round = 0; round < 200; round++) {
      List<IndexedCustomer> customers = new ArrayList<>();
      for (int i = random.nextInt(12); i > 0; i--) {
        customers.add(customer(i, random));
      }
      customers.sort(null);
      ByName byName = new ByName(customers);
      for (String typed : TYPED) {
        Sought sought = Sought.of(typed);
        assertThat(byName.find(sought).stream().mapToObj(customers::get))
            .as("%s, round %d of seed %d", typed, round, seed)
            .containsExactlyElementsOf(customers.stream().filter(one -> has(one, sought)).toList());
      }
      for (int i = 0; i < customers.size(); i++) {
        assertThat(byName.after(customers.get(i))).isEqualTo(i + 1);
      }
    }
  }
}
