package fabulum.core.template;

import fabulum.core.text.Tokens;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Finds templates by what a person types: the short name first, then the title, then the words. */
public final class TemplateFinder {
  private static final int SHORT_NAME = 0;
  private static final int SHORT_NAME_BEGUN = 1;
  private static final int TITLE_BEGUN = 2;
  private static final int TITLE = 3;
  private static final int WORDS = 4;
  private static final int NOWHERE = 5;

  private TemplateFinder() {}

  /**
   * A template as it is looked for.
   *
   * @param key what the caller knows it by
   * @param title its title's words, in lower case and without accents
   * @param words its folder's and text's words, likewise
   */
  public record Entry(long key, String shortName, List<String> title, List<String> words) {
    public Entry {
      title = List.copyOf(title);
      words = List.copyOf(words);
    }

    /** Takes a template's own words. */
    public static Entry of(long key, String shortName, String title, String words) {
      return new Entry(key, shortName, Tokens.of(title), Tokens.of(words));
    }

    private int place(String typed, List<String> sought) {
      if (!shortName.isEmpty() && shortName.startsWith(typed)) {
        return shortName.equals(typed) ? SHORT_NAME : SHORT_NAME_BEGUN;
      }
      if (!title.isEmpty() && title.get(0).startsWith(sought.get(0)) && begunIn(title, sought)) {
        return TITLE_BEGUN;
      }
      if (begunIn(title, sought)) {
        return TITLE;
      }
      List<String> all = new ArrayList<>(title);
      all.addAll(words);
      return begunIn(all, sought) ? WORDS : NOWHERE;
    }

    private static boolean begunIn(List<String> words, List<String> sought) {
      return sought.stream().allMatch(one -> words.stream().anyMatch(word -> word.startsWith(one)));
    }
  }

  /**
   * Those that have all the words typed, or their beginnings; the best first, and among equals in
   * the order given. All of them where nothing was typed.
   */
  public static List<Entry> find(String typed, List<Entry> entries) {
    List<String> sought = Tokens.of(typed);
    if (sought.isEmpty()) {
      return List.copyOf(entries);
    }
    String plain = ShortName.plain(typed);
    record Found(Entry entry, int place) {}
    return entries.stream()
        .map(entry -> new Found(entry, entry.place(plain, sought)))
        .filter(found -> found.place() != NOWHERE)
        .sorted(Comparator.comparingInt(Found::place))
        .map(Found::entry)
        .toList();
  }
}
