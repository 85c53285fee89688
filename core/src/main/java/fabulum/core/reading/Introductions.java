package fabulum.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Where writers say their own names. */
final class Introductions {
  /** Words before a name with which people say their own, the last one first. */
  private static final Set<String> INTRODUCING =
      Set.of(
          "this is",
          "that is",
          "it is",
          "its",
          "i am",
          "im",
          "name is",
          "names",
          "here is",
          "it was",
          "callme",
          "soy",
          "habla",
          "llamo",
          "je suis",
          "cest",
          "mappelle",
          "ich bin",
          "hier ist",
          "hier",
          "heisse",
          "jestem",
          "sono",
          "eu sou",
          "aqui e",
          "aqui es",
          "ik ben",
          "eto",
          "tse",
          "ce",
          "shi",
          "thisis",
          "from");

  /** Before {@code 's} that stands for "is". */
  private static final Set<String> SHORTENED = Set.of("it", "that", "this", "name", "here");

  private static final Set<String> AFTER_NAME =
      Set.of("here", "speaking", "hier", "aqui", "ici", "again", "zdes");

  static final Set<String> BELONGING =
      Set.of("from", "at", "with", "w", "of", "von", "de", "bei", "for");

  /** Before a figure they say how long, or for how many: {@code Motor yacht of 46 ft}. */
  private static final Set<String> MEASURED = Set.of("of", "for", "with", "w");

  private final List<Word> words;
  private final List<Integer> starts;
  private final boolean[] introduced;
  private final List<Integer> places = new ArrayList<>();

  /**
   * Finds them.
   *
   * @param starts at which words texts begin
   */
  Introductions(List<Word> words, List<Integer> starts) {
    this.words = words;
    this.starts = starts;
    introduced = new boolean[words.size()];
    find();
  }

  /** The words with which names begin. */
  List<Integer> places() {
    return places;
  }

  /** Whether a word is one of a name that is introduced, as far as its place tells. */
  boolean has(int word) {
    return introduced[word];
  }

  private void find() {
    for (int i = 0; i < words.size(); i++) {
      boolean opens = starts.contains(i);
      boolean clause = i == 0 || opens || words.get(i - 1).endsClause();
      if (afterPhrase(i) || clause && beforePhrase(i) || opens && signs(i)) {
        mark(i);
      }
    }
    int last = words.size() - 1;
    if (last > 0
        && words.get(last - 1).after().matches(".*[-–—\\n].*")
        && words.get(last).capital()) {
      mark(last);
    }
  }

  private boolean afterPhrase(int at) {
    if (at == 0) {
      return false;
    }
    String one = words.get(at - 1).plain();
    if (words.get(at - 1).possessive() && SHORTENED.contains(one)) {
      return true;
    }
    String two = at > 1 ? words.get(at - 2).plain() + " " + one : one;
    return (INTRODUCING.contains(two) || !one.equals("from") && INTRODUCING.contains(one))
        && !words.get(at - 1).endsClause();
  }

  /** {@code Annika here}, {@code oscar nwosu here}, {@code Stan at Corn Belt}, {@code Wes at …}. */
  private boolean beforePhrase(int at) {
    for (int i = at + 1; i < Math.min(words.size(), at + 4); i++) {
      String plain = words.get(i).plain();
      boolean goesOn = i == at + 1 || !CommonWords.contains(words.get(i - 1).plain());
      if (words.get(i - 1).endsClause() || !goesOn) {
        return false;
      }
      if (AFTER_NAME.contains(plain)) {
        return true;
      }
      if (MEASURED.contains(plain) && i + 1 < words.size() && words.get(i + 1).hasDigit()) {
        return false;
      }
      if (BELONGING.contains(plain)) {
        return words.get(at).capital() && !CommonWords.contains(words.get(at).plain())
            || Nicknames.isListed(words.get(at).plain());
      }
    }
    return false;
  }

  /** A text that begins with one to three words and a stop, or is nothing else: a signature. */
  private boolean signs(int at) {
    for (int i = at; i < Math.min(words.size(), at + 3); i++) {
      Word word = words.get(i);
      boolean initial = i > at && word.plain().length() == 1;
      boolean everyday =
          CommonWords.contains(word.plain()) && !(i == at && Nicknames.isListed(word.plain()));
      if (word.hasDigit() || everyday && !initial && !(i > at && word.capital())) {
        return false;
      }
      if (i == words.size() - 1 || starts.contains(i + 1) || word.endsClause()) {
        return words.get(at).capital() || Nicknames.isListed(words.get(at).plain());
      }
    }
    return false;
  }

  private void mark(int at) {
    places.add(at);
    for (int i = at; i < Math.min(words.size(), at + 3); i++) {
      introduced[i] = true;
      if (words.get(i).endsClause()) {
        return;
      }
    }
  }
}
