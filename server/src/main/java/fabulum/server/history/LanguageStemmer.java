package fabulum.server.history;

import fabulum.core.search.Stemmer;
import fabulum.core.text.Language;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.apache.lucene.analysis.de.GermanLightStemmer;
import org.apache.lucene.analysis.es.SpanishLightStemmer;
import org.apache.lucene.analysis.fr.FrenchLightStemmer;
import org.apache.lucene.analysis.it.ItalianLightStemmer;
import org.apache.lucene.analysis.pl.PolishAnalyzer;
import org.apache.lucene.analysis.pt.PortugueseLightStemmer;
import org.apache.lucene.analysis.stempel.StempelStemmer;
import org.tartarus.snowball.SnowballStemmer;
import org.tartarus.snowball.ext.DutchStemmer;
import org.tartarus.snowball.ext.EnglishStemmer;

/** Stems of words in the languages in which customers write. Not to be shared between threads. */
final class LanguageStemmer implements Stemmer {
  private final List<Language> languages;
  private final Map<String, Set<String>> known = new HashMap<>();
  private final SnowballStemmer english = new EnglishStemmer();
  private final SnowballStemmer dutch = new DutchStemmer();

  LanguageStemmer(Collection<Language> languages) {
    this.languages = List.copyOf(new TreeSet<>(languages));
  }

  @Override
  public boolean areForms(String one, String other) {
    return of(one).stream().anyMatch(of(other)::contains);
  }

  /** The stem of a word in each language, with the language before it; none for a number. */
  Set<String> of(String written) {
    return known.computeIfAbsent(written, this::stems);
  }

  private Set<String> stems(String written) {
    if (!written.codePoints().allMatch(Character::isLetter)) {
      return Set.of();
    }
    Set<String> stems = new HashSet<>();
    languages.forEach(language -> stems.add("~" + language.code() + stem(language, written)));
    return stems;
  }

  private String stem(Language language, String word) {
    char[] letters = word.toCharArray();
    return switch (language) {
      case EN -> snowball(english, word);
      case NL -> snowball(dutch, word);
      case ES -> first(letters, new SpanishLightStemmer().stem(letters, letters.length));
      case FR -> first(letters, new FrenchLightStemmer().stem(letters, letters.length));
      case DE -> first(letters, new GermanLightStemmer().stem(letters, letters.length));
      case PT -> first(letters, new PortugueseLightStemmer().stem(letters, letters.length));
      case IT -> first(letters, new ItalianLightStemmer().stem(letters, letters.length));
      case PL -> polish(word);
    };
  }

  private static String first(char[] letters, int length) {
    return new String(letters, 0, length);
  }

  private static String snowball(SnowballStemmer stemmer, String word) {
    stemmer.setCurrent(word);
    stemmer.stem();
    return stemmer.getCurrent();
  }

  private static String polish(String word) {
    StringBuilder stem = new StempelStemmer(PolishAnalyzer.getDefaultTable()).stem(word);
    return stem == null ? word : stem.toString();
  }
}
