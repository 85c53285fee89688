package fabulum.server.history;

import fabulum.core.search.Term;
import fabulum.core.search.Terms;
import fabulum.core.search.WordQuery;
import fabulum.core.search.WordQuery.Sought;
import fabulum.core.search.WordQuery.Word;
import fabulum.server.history.NearMisses.Instead;
import java.io.IOException;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What a person may have meant where nothing was found: only what finds something they see. */
final class DidYouMean {
  private static final int MOST = 3;

  private final Finds finds;

  DidYouMean(Finds finds) {
    this.finds = finds;
  }

  /** Whether a person finds anything with some words. */
  @FunctionalInterface
  interface Finds {
    boolean anything(WordQuery words) throws IOException;
  }

  /**
   * What was typed with another word in place of one; if that finds nothing, with others in place
   * of all that are nowhere.
   */
  List<String> of(String typed, WordQuery words, List<Instead> near) throws IOException {
    Set<String> found = new LinkedHashSet<>();
    for (Instead one : near) {
      if (found.size() < MOST && finds.anything(words.instead(one.word(), one.other()))) {
        found.add(instead(typed, one));
      }
    }
    if (found.isEmpty()) {
      all(typed, words, near).ifPresent(found::add);
    }
    return List.copyOf(found);
  }

  private Optional<String> all(String typed, WordQuery words, List<Instead> near)
      throws IOException {
    String other = typed;
    WordQuery others = words;
    for (Word word : words.sought().stream().flatMap(one -> one.words().stream()).toList()) {
      if (!finds.anything(alone(word))) {
        Optional<Instead> one = instead(word, near);
        if (one.isEmpty()) {
          return Optional.empty();
        }
        other = instead(other, one.get());
        others = others.instead(word, one.get().other());
      }
    }
    return finds.anything(others) ? Optional.of(other) : Optional.empty();
  }

  private Optional<Instead> instead(Word word, List<Instead> near) throws IOException {
    for (Instead one : near) {
      if (one.word().equals(word) && finds.anything(alone(one.other()))) {
        return Optional.of(one);
      }
    }
    return Optional.empty();
  }

  private static WordQuery alone(Word word) {
    return new WordQuery(false, List.of(new Sought(List.of(word), false)), List.of(), List.of());
  }

  private static String instead(String typed, Instead one) {
    StringBuilder words = new StringBuilder();
    int at = 0;
    for (Term term : Terms.of(typed)) {
      if (term.plain().equals(one.word().plain()) && term.from() >= at) {
        words.append(typed, at, term.from()).append(one.other().plain());
        at = term.to();
      }
    }
    return words.append(typed.substring(at)).toString();
  }
}
