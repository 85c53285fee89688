package fabulum.server.history;

import fabulum.core.search.WordQuery;
import fabulum.core.search.WordQuery.Sought;
import fabulum.core.search.WordQuery.Word;
import java.util.List;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.PhraseQuery;
import org.apache.lucene.search.PrefixQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermQuery;

/** Words as conditions on the index. */
final class WordConditions {
  private final LanguageStemmer stems;

  WordConditions(LanguageStemmer stems) {
    this.stems = stems;
  }

  /** What a choice asks for, words and all. */
  Query of(Choice choice, WordQuery words) {
    BooleanQuery.Builder all = new BooleanQuery.Builder();
    all.add(choice.facts(), Occur.FILTER);
    if (words.any() && !words.sought().isEmpty()) {
      BooleanQuery.Builder any = new BooleanQuery.Builder();
      words.sought().forEach(one -> any.add(sought(one), Occur.SHOULD));
      all.add(any.build(), Occur.FILTER);
    } else {
      words.sought().forEach(one -> all.add(sought(one), Occur.FILTER));
    }
    words.without().forEach(one -> all.add(sought(one), Occur.MUST_NOT));
    return all.build();
  }

  private Query sought(Sought sought) {
    List<Word> words = sought.words();
    if (words.size() > 1) {
      PhraseQuery.Builder phrase = new PhraseQuery.Builder();
      words.forEach(word -> phrase.add(term(word.plain())));
      return phrase.build();
    }
    Word word = words.get(0);
    if (word.beginning()) {
      return new PrefixQuery(term(word.plain()));
    }
    return sought.exact() ? new TermQuery(term(word.plain())) : forms(word);
  }

  private Query forms(Word word) {
    BooleanQuery.Builder any = new BooleanQuery.Builder();
    any.add(new TermQuery(term(word.plain())), Occur.SHOULD);
    stems.of(word.written()).forEach(stem -> any.add(new TermQuery(term(stem)), Occur.SHOULD));
    return any.build();
  }

  static Term term(String word) {
    return new Term(WordIndex.WORDS, EntryTokens.cut(word));
  }
}
