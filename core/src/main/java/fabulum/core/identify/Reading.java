package fabulum.core.identify;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** What an inquiry says, read once for all candidates. */
final class Reading {
  private static final int LONGEST_WINDOW = 5;

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
  private static final Set<String> BELONGING =
      Set.of("from", "at", "with", "w", "of", "von", "de", "bei", "for");
  private static final Set<String> RELATION =
      Set.of(
          "husband",
          "wife",
          "dad",
          "dads",
          "mom",
          "moms",
          "mum",
          "father",
          "mother",
          "son",
          "daughter",
          "brother",
          "sister",
          "grandpa",
          "grandma",
          "granddad",
          "grandson",
          "granddaughter",
          "aunt",
          "uncle",
          "niece",
          "nephew",
          "boss",
          "roommate",
          "partner",
          "fiance",
          "girlfriend",
          "boyfriend",
          "cousin",
          "assistant",
          "secretary",
          "foreman",
          "asked",
          "wants",
          "says",
          "said",
          "behalf",
          "calling",
          "writing",
          "esposa",
          "esposo",
          "hijo",
          "hija",
          "frau",
          "mann",
          "sohn",
          "tochter",
          "femme",
          "mari",
          "fils",
          "fille");

  /** A run of words, and the words without anything between them. */
  record Window(String compact, int from, int length, boolean capital, boolean common) {
    int to() {
      return from + length;
    }
  }

  private final List<Word> words = new ArrayList<>();
  private final List<Window> windows = new ArrayList<>();
  private final Set<String> stems;
  private final boolean[] introduced;
  private final List<Integer> introductions = new ArrayList<>();
  private final String plain;
  private final String written;

  private Reading(List<String> texts) {
    List<Integer> starts = new ArrayList<>();
    for (String text : texts) {
      starts.add(words.size());
      words.addAll(Wording.words(text));
    }
    introduced = new boolean[words.size()];
    findIntroductions(starts);
    makeWindows(starts);
    stems = Set.copyOf(Stems.of(words));
    plain = words.stream().map(Word::plain).collect(Collectors.joining(" "));
    written = String.join("\n", texts);
  }

  static Reading of(List<String> texts) {
    return new Reading(texts);
  }

  List<Word> words() {
    return words;
  }

  List<Window> windows() {
    return windows;
  }

  Set<String> stems() {
    return stems;
  }

  /** A word of the text that has this stem. */
  String wordOf(String stem) {
    return words.stream()
        .map(Word::plain)
        .filter(plain -> Stems.stem(plain).equals(stem))
        .findFirst()
        .orElse(stem);
  }

  String plain() {
    return plain;
  }

  String written() {
    return written;
  }

  /** Where names begin by which writers introduce themselves. */
  List<Integer> introductions() {
    return introductions;
  }

  boolean isIntroduced(int word) {
    return word < introduced.length && (introduced[word] || words.get(word).foreign());
  }

  /** The first name that is introduced, with capital letters; empty for none. */
  String introducedName() {
    for (int at : introductions) {
      StringBuilder name = new StringBuilder();
      for (int i = at; i < Math.min(words.size(), at + 3); i++) {
        Word word = words.get(i);
        boolean listed = Nicknames.isListed(word.plain());
        if (word.hasDigit() || !listed && (!word.capital() || CommonWords.contains(word.plain()))) {
          break;
        }
        name.append(name.isEmpty() ? "" : " ");
        name.append(Character.toUpperCase(word.plain().charAt(0)))
            .append(word.plain().substring(1));
        if (word.endsClause()) {
          break;
        }
      }
      if (!name.isEmpty()) {
        return name.toString();
      }
    }
    return "";
  }

  /**
   * Whether the text speaks of this name as of a relative, or as of someone who sends the writer.
   */
  boolean isRelated(int from, int to) {
    for (int i = Math.max(0, from - 3); i < Math.min(words.size(), to + 3); i++) {
      if ((i < from || i >= to) && RELATION.contains(words.get(i).plain())) {
        return true;
      }
    }
    return to > 0 && to <= words.size() && words.get(to - 1).possessive();
  }

  /** Whether a word looks like a name where it stands. */
  boolean isNameLike(int at, Rarity rarity) {
    Word word = words.get(at);
    if (word.plain().length() < 2 || word.hasDigit()) {
      return false;
    }
    if (CommonWords.contains(word.plain())) {
      return word.capital() && !word.first() && Nicknames.isListed(word.plain());
    }
    boolean known = Nicknames.isListed(word.plain()) || rarity.named(word.plain()) > 0;
    return known || word.capital() && word.plain().length() > 2;
  }

  /**
   * The words after {@code from}, {@code at}, {@code with} that follow a name, to the end of the
   * clause.
   */
  List<Word> belongsTo(int afterName) {
    if (afterName >= words.size()
        || !BELONGING.contains(words.get(afterName).plain())
        || afterName > 0 && words.get(afterName - 1).endsClause()) {
      return List.of();
    }
    List<Word> place = new ArrayList<>();
    for (int i = afterName + 1; i < words.size() && place.size() < 6; i++) {
      place.add(words.get(i));
      if (words.get(i).endsClause()) {
        break;
      }
    }
    return place;
  }

  private void findIntroductions(List<Integer> starts) {
    for (int i = 0; i < words.size(); i++) {
      boolean opens = starts.contains(i);
      boolean clause = i == 0 || opens || words.get(i - 1).endsClause();
      if (afterPhrase(i) || clause && beforePhrase(i) || opens && signs(i, starts)) {
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
      if (BELONGING.contains(plain)) {
        return words.get(at).capital() && !CommonWords.contains(words.get(at).plain())
            || Nicknames.isListed(words.get(at).plain());
      }
    }
    return false;
  }

  /** A text that begins with one to three words and a stop, or is nothing else: a signature. */
  private boolean signs(int at, List<Integer> starts) {
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
    introductions.add(at);
    for (int i = at; i < Math.min(words.size(), at + 3); i++) {
      introduced[i] = true;
      if (words.get(i).endsClause()) {
        return;
      }
    }
  }

  private void makeWindows(List<Integer> starts) {
    for (int from = 0; from < words.size(); from++) {
      StringBuilder compact = new StringBuilder();
      boolean common = true;
      for (int length = 1; length <= LONGEST_WINDOW && from + length <= words.size(); length++) {
        if (length > 1 && starts.contains(from + length - 1)) {
          break;
        }
        Word word = words.get(from + length - 1);
        compact.append(word.plain());
        common &= CommonWords.contains(word.plain());
        windows.add(
            new Window(compact.toString(), from, length, words.get(from).capital(), common));
      }
    }
  }
}
