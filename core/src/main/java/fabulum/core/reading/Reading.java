package fabulum.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** What an inquiry says, read once for all candidates. */
public final class Reading {
  private static final int LONGEST_WINDOW = 5;

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
  public record Window(String compact, int from, int length, boolean capital, boolean common) {
    /** The place of the word after its last one. */
    public int to() {
      return from + length;
    }
  }

  private final List<Word> words = new ArrayList<>();
  private final List<Window> windows = new ArrayList<>();
  private final Set<String> stems;
  private final Introductions introductions;
  private final String plain;
  private final String written;

  private Reading(List<String> texts) {
    List<Integer> starts = new ArrayList<>();
    for (String text : texts) {
      starts.add(words.size());
      words.addAll(Wording.words(text));
    }
    introductions = new Introductions(words, starts);
    makeWindows(starts);
    stems = Set.copyOf(Stems.of(words));
    plain = words.stream().map(Word::plain).collect(Collectors.joining(" "));
    written = String.join("\n", texts);
  }

  /** Reads some texts of one writer, in the order in which they were written. */
  public static Reading of(List<String> texts) {
    return new Reading(texts);
  }

  /** The words of all texts, one text after the other. */
  public List<Word> words() {
    return words;
  }

  /** All runs of a few words; none reaches from one text into the next. */
  public List<Window> windows() {
    return windows;
  }

  /** The stems of the words that say something. */
  public Set<String> stems() {
    return stems;
  }

  /** A word of the text that has this stem. */
  public String wordOf(String stem) {
    return words.stream()
        .map(Word::plain)
        .filter(plain -> Stems.stem(plain).equals(stem))
        .findFirst()
        .orElse(stem);
  }

  /** All words with a space between them. */
  public String plain() {
    return plain;
  }

  /** The texts as they were written, a line for each. */
  public String written() {
    return written;
  }

  /** Where names begin by which writers introduce themselves. */
  public List<Integer> introductions() {
    return introductions.places();
  }

  /** Whether writers introduce themselves by the name that begins at this word. */
  public boolean isIntroduced(int word) {
    return word < words.size() && (introductions.has(word) || words.get(word).foreign());
  }

  /** The first name that is introduced, with capital letters; empty for none. */
  public String introducedName() {
    for (int at : introductions.places()) {
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
  public boolean isRelated(int from, int to) {
    for (int i = Math.max(0, from - 3); i < Math.min(words.size(), to + 3); i++) {
      if ((i < from || i >= to) && RELATION.contains(words.get(i).plain())) {
        return true;
      }
    }
    return to > 0 && to <= words.size() && words.get(to - 1).possessive();
  }

  /** Whether a word looks like a name where it stands. */
  public boolean isNameLike(int at, Rarity rarity) {
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
  public List<Word> belongsTo(int afterName) {
    if (afterName >= words.size()
        || !Introductions.BELONGING.contains(words.get(afterName).plain())
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
