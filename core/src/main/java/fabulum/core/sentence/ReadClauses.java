package fabulum.core.sentence;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/** The clauses of a sentence that is being read, by what they are about; each is said once. */
record ReadClauses(Map<String, String> said) {

  /**
   * Takes a text apart.
   *
   * @param parts what clauses can be about
   * @param about what a clause is about, most often its {@link #firstWord}
   * @throws IllegalArgumentException with a sentence that names the part that cannot be read
   */
  static ReadClauses read(String text, List<String> parts, UnaryOperator<String> about) {
    Map<String, String> said = new LinkedHashMap<>();
    for (String clause : Clauses.split(text)) {
      String part = about.apply(clause);
      if (!parts.contains(part)) {
        throw Clauses.unreadable(clause, null);
      }
      if (said.put(part, clause) != null) {
        throw Clauses.saidTwice(clause);
      }
    }
    return new ReadClauses(said);
  }

  static String firstWord(String clause) {
    return clause.split(" ", 2)[0];
  }

  boolean says(String part) {
    return said.containsKey(part);
  }

  <T> Optional<T> part(String about, Function<String, T> reading) {
    String clause = said.get(about);
    if (clause == null) {
      return Optional.empty();
    }
    try {
      return Optional.of(reading.apply(clause));
    } catch (DateTimeException | IllegalArgumentException cause) {
      throw Clauses.unreadable(clause, cause);
    }
  }

  OptionalLong id(String about) {
    return part(about, Clauses::id).map(OptionalLong::of).orElse(OptionalLong.empty());
  }

  String words(String about) {
    return part(about, Clauses::words).orElse("");
  }

  /** What {@link #clauses(Days)} wrote. */
  Optional<Days> days() {
    Optional<Integer> last = part("last", Clauses::days);
    Optional<LocalDate> from = part("from", Clauses::date);
    Optional<LocalDate> to = part("to", Clauses::date);
    boolean any = last.isPresent() || from.isPresent() || to.isPresent();
    return any ? Optional.of(new Days(last, from, to)) : Optional.empty();
  }

  static List<String> clauses(Days days) {
    List<String> clauses = new ArrayList<>();
    days.last().ifPresent(count -> clauses.add("last " + count));
    days.from().ifPresent(date -> clauses.add("from " + date));
    days.to().ifPresent(date -> clauses.add("to " + date));
    return clauses;
  }
}
