package fabulum.core.identify;

import fabulum.core.reading.Likeness;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/** Names and details by length, each with the letters it has, so that few need be compared. */
final class Vocabulary {
  private static final int SHORTEST = 4;

  private final Map<Integer, Shelf> byLength = new HashMap<>();
  private final Map<String, Set<String>> bySound = new HashMap<>();
  private final Map<String, Set<String>> byConsonants = new HashMap<>();

  /** Whether slips in such a term are looked for: a name or a detail that is long enough. */
  static boolean isFuzzy(String term) {
    return (term.startsWith("n:") || term.startsWith("d:")) && term.length() >= SHORTEST + 2;
  }

  void add(String term) {
    String word = term.substring(2);
    byLength.computeIfAbsent(word.length(), none -> new Shelf()).add(term);
    bySound.computeIfAbsent(Likeness.sound(word), none -> new HashSet<>(2)).add(term);
    byConsonants.computeIfAbsent(Likeness.consonants(word), none -> new HashSet<>(2)).add(term);
  }

  void remove(String term) {
    if (isFuzzy(term)) {
      String word = term.substring(2);
      Objects.requireNonNull(byLength.get(word.length())).remove(term);
      Objects.requireNonNull(bySound.get(Likeness.sound(word))).remove(term);
      Objects.requireNonNull(byConsonants.get(Likeness.consonants(word))).remove(term);
    }
  }

  Set<String> like(String word) {
    Set<String> found = new HashSet<>();
    int allowed = word.length() < 7 ? 1 : 2;
    for (int length = word.length() - allowed; length <= word.length() + allowed; length++) {
      Shelf shelf = byLength.get(length);
      if (shelf != null) {
        shelf.like(word, allowed, found);
      }
    }
    String sound = Likeness.sound(word);
    if (sound.length() >= 3) {
      found.addAll(bySound.getOrDefault(sound, Set.of()));
    }
    String consonants = Likeness.consonants(word);
    if (consonants.length() >= 3) {
      found.addAll(byConsonants.getOrDefault(consonants, Set.of()));
    }
    return found;
  }

  private static final class Shelf {
    private final List<String> terms = new ArrayList<>();
    private final Map<String, Integer> places = new HashMap<>();
    private final int[][] letters = {new int[16]};

    void add(String term) {
      if (places.containsKey(term)) {
        return;
      }
      if (terms.size() == letters[0].length) {
        letters[0] = Arrays.copyOf(letters[0], 2 * terms.size());
      }
      letters[0][terms.size()] = Likeness.letters(term.substring(2));
      places.put(term, terms.size());
      terms.add(term);
    }

    void remove(String term) {
      Integer at = places.remove(term);
      if (at == null) {
        return;
      }
      int end = terms.size() - 1;
      String last = terms.remove(end);
      if (at != end) {
        terms.set(at, last);
        letters[0][at] = letters[0][end];
        places.put(last, at);
      }
    }

    void like(String word, int allowed, Set<String> found) {
      int own = Likeness.letters(word);
      for (int i = 0; i < terms.size(); i++) {
        if (Integer.bitCount(own ^ letters[0][i]) <= 2 * allowed
            && Likeness.of(word, terms.get(i).substring(2)) > 0) {
          found.add(terms.get(i));
        }
      }
    }
  }
}
