package fabulum.server.history;

import fabulum.core.search.WordQuery;
import fabulum.core.search.WordQuery.Word;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.MultiTerms;
import org.apache.lucene.index.Terms;
import org.apache.lucene.index.TermsEnum;
import org.apache.lucene.search.spell.DirectSpellChecker;
import org.apache.lucene.search.spell.SuggestMode;
import org.apache.lucene.search.spell.SuggestWord;
import org.apache.lucene.util.BytesRef;

/**
 * Words that are close to one that is nowhere, or that begin like it. They are of everything in the
 * index: none may be shown before it was found in what the person sees.
 */
final class NearMisses {
  private static final int MOST = 6;
  private static final int SHORTEST = 3;

  private final IndexReader reader;
  private final DirectSpellChecker near = new DirectSpellChecker();

  NearMisses(IndexReader reader) {
    this.reader = reader;
    near.setMinQueryLength(SHORTEST);
    near.setAccuracy(0.4f);
    near.setThresholdFrequency(0);
  }

  /** A word of a query, and one in its place. */
  record Instead(Word word, Word other) {}

  /** Words of a query that are near it, the likeliest first. */
  List<Instead> of(WordQuery words) throws IOException {
    List<Instead> all = new ArrayList<>();
    List<Word> sought =
        words.sought().stream().flatMap(one -> one.words().stream()).distinct().toList();
    for (Word word : sought) {
      for (String other : near(word)) {
        all.add(new Instead(word, new Word(other, other, false)));
      }
    }
    return all;
  }

  private Set<String> near(Word word) throws IOException {
    Set<String> found = new LinkedHashSet<>();
    if (word.plain().length() >= SHORTEST && word.plain().chars().allMatch(Character::isLetter)) {
      SuggestWord[] close =
          near.suggestSimilar(
              WordConditions.term(word.plain()), MOST, reader, SuggestMode.SUGGEST_ALWAYS);
      Arrays.stream(close)
          .map(one -> one.string)
          .filter(one -> one.chars().allMatch(Character::isLetter))
          .forEach(found::add);
      addBeginning(word.plain(), found);
    }
    return found;
  }

  private void addBeginning(String beginning, Set<String> found) throws IOException {
    Terms terms = MultiTerms.getTerms(reader, WordIndex.WORDS);
    if (terms == null) {
      return;
    }
    TermsEnum each = terms.iterator();
    boolean more = each.seekCeil(new BytesRef(beginning)) != TermsEnum.SeekStatus.END;
    int added = 0;
    while (more && added < MOST) {
      BytesRef term = each.term();
      String one = term.utf8ToString();
      if (!one.startsWith(beginning)) {
        return;
      }
      added += found.add(one) ? 1 : 0;
      more = each.next() != null;
    }
  }
}
