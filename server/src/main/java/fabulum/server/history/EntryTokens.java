package fabulum.server.history;

import fabulum.core.search.Term;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import org.apache.lucene.analysis.TokenStream;
import org.apache.lucene.analysis.tokenattributes.CharTermAttribute;
import org.apache.lucene.analysis.tokenattributes.PositionIncrementAttribute;

/** The terms of an entry as the index takes them: each as it is compared, and its stems. */
final class EntryTokens extends TokenStream {
  /** Longer ones are cut: nobody types them. */
  private static final int LONGEST = 200;

  private final CharTermAttribute word = addAttribute(CharTermAttribute.class);
  private final PositionIncrementAttribute step = addAttribute(PositionIncrementAttribute.class);
  private final List<Token> tokens = new ArrayList<>();
  private Iterator<Token> next = tokens.iterator();

  EntryTokens(List<Term> terms, LanguageStemmer stems) {
    int before = -1;
    for (Term term : terms) {
      tokens.add(new Token(cut(term.plain()), term.position() - before));
      before = term.position();
      stems.of(term.written()).forEach(stem -> tokens.add(new Token(cut(stem), 0)));
    }
  }

  private record Token(String word, int step) {}

  static String cut(String word) {
    return word.length() > LONGEST ? word.substring(0, LONGEST) : word;
  }

  @Override
  public void reset() {
    next = tokens.iterator();
  }

  @Override
  public boolean incrementToken() {
    if (!next.hasNext()) {
      return false;
    }
    clearAttributes();
    Token token = next.next();
    word.append(token.word());
    step.setPositionIncrement(token.step());
    return true;
  }
}
