package fabulum.core.template;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Words that were written for one customer, made into a template for all of them. */
public final class Unfilled {
  /** Shorter values are met by chance. */
  private static final int SHORTEST = 3;

  /** Values that are everyday words now and then, such as "closed" or "tomorrow". */
  private static final Set<String> EVERYDAY = Set.of("what", "day", "time", "standing", "place");

  private Unfilled() {}

  /** A value that is known where the words were written. */
  public record Value(Placeholder of, String words) {}

  /**
   * The stored form of a template: wherever a value stands as a whole word, its placeholder stands
   * instead, the longest value first. Braces of the words become round ones.
   */
  public static String of(String words, List<Value> values) {
    List<Value> sought =
        values.stream()
            .filter(value -> value.words().strip().length() >= SHORTEST)
            .filter(value -> value.of().whose() != ValueFrom.HOURS)
            .filter(value ->
                value.of().whose() == ValueFrom.CUSTOMER || !EVERYDAY.contains(value.of().name()))
            .sorted(Comparator.comparingInt((Value value) -> value.words().length()).reversed())
            .toList();
    StringBuilder made = new StringBuilder();
    int at = 0;
    while (at < words.length()) {
      Value here = at(words, at, sought);
      if (here == null) {
        char sign = words.charAt(at);
        made.append(sign == '{' ? '(' : sign == '}' ? ')' : sign);
        at++;
      } else {
        made.append(written(here.of()));
        at += here.words().strip().length();
      }
    }
    return made.toString();
  }

  private static String written(Placeholder one) {
    return one.whose() == ValueFrom.CUSTOMER && one.name().equals("first name")
        ? one.with("there").written()
        : one.written();
  }

  private static @Nullable Value at(String words, int at, List<Value> sought) {
    if (at > 0 && isWord(words.charAt(at - 1))) {
      return null;
    }
    for (Value value : sought) {
      String plain = value.words().strip();
      int end = at + plain.length();
      if (words.startsWith(plain, at) && (end == words.length() || !isWord(words.charAt(end)))) {
        return value;
      }
    }
    return null;
  }

  private static boolean isWord(char sign) {
    return Character.isLetterOrDigit(sign);
  }

  /** The values that a catalog's placeholders have here, in its order. */
  public static List<Value> known(List<Placeholder> catalog, Values values) {
    List<Value> known = new ArrayList<>();
    for (Placeholder one : catalog) {
      values.find(one.whose(), one.name()).ifPresent(words -> known.add(new Value(one, words)));
    }
    return known;
  }
}
