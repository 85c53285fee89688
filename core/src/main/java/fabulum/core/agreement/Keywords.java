package fabulum.core.agreement;

import static java.util.stream.Collectors.toUnmodifiableMap;

import fabulum.core.text.Language;
import fabulum.core.text.Tokens;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * The words that every business must honour when they are the whole text. The English ones are
 * those that United States carriers require (CTIA Messaging Principles and Best Practices, 5.1.3);
 * they hold in every language.
 */
public final class Keywords {
  private static final Map<Language, Map<String, Keyword>> WORDS = new EnumMap<>(Language.class);

  static {
    say(Language.EN, Keyword.STOP, "stop stopall unsubscribe end quit cancel optout revoke");
    say(Language.EN, Keyword.START, "start yes unstop");
    say(Language.EN, Keyword.HELP, "help info");
    say(Language.ES, Keyword.STOP, "parar pare alto baja cancelar detener basta nomas");
    say(Language.ES, Keyword.START, "empezar comenzar iniciar reanudar alta si");
    say(Language.ES, Keyword.HELP, "ayuda informacion");
    say(Language.FR, Keyword.STOP, "arret arreter arretez desabonner desinscription desinscrire");
    say(Language.FR, Keyword.START, "commencer reprendre oui");
    say(Language.FR, Keyword.HELP, "aide");
    say(Language.DE, Keyword.STOP, "stopp abmelden abbestellen ende beenden");
    say(Language.DE, Keyword.START, "anmelden ja");
    say(Language.DE, Keyword.HELP, "hilfe");
    say(Language.PT, Keyword.STOP, "parar pare sair cancelar remover");
    say(Language.PT, Keyword.START, "comecar iniciar voltar sim");
    say(Language.PT, Keyword.HELP, "ajuda");
    say(Language.IT, Keyword.STOP, "basta ferma fermare annulla cancellami");
    say(Language.IT, Keyword.START, "inizia riprendi si");
    say(Language.IT, Keyword.HELP, "aiuto");
    say(Language.NL, Keyword.STOP, "stoppen afmelden uitschrijven einde");
    say(Language.NL, Keyword.START, "beginnen aanmelden ja");
    say(Language.NL, Keyword.HELP, "hulp");
    say(Language.PL, Keyword.STOP, "koniec wypisz rezygnuje");
    say(Language.PL, Keyword.START, "tak wznow");
    say(Language.PL, Keyword.HELP, "pomoc");
  }

  private Keywords() {}

  private static void say(Language language, Keyword meaning, String words) {
    WORDS
        .computeIfAbsent(language, none -> new HashMap<>())
        .putAll(
            Arrays.stream(words.split(" "))
                .collect(toUnmodifiableMap(Function.identity(), word -> meaning)));
  }

  /**
   * The keyword that a text is, whatever its case, accents and punctuation: {@code "Opt-out!"},
   * {@code S T O P} and {@code stop stop} are; {@code stop by at 5} is none.
   *
   * @param languages those besides English whose words count
   */
  public static Optional<Keyword> read(String text, Set<Language> languages) {
    List<String> tokens = Tokens.of(text);
    Optional<Keyword> joined = meaning(String.join("", tokens), languages);
    if (joined.isPresent() || tokens.size() < 2) {
      return joined;
    }
    Set<Optional<Keyword>> each = new HashSet<>();
    tokens.forEach(token -> each.add(meaning(token, languages)));
    return each.size() == 1 ? each.iterator().next() : Optional.empty();
  }

  /**
   * The language a keyword is in; English where it is one of those that hold everywhere.
   *
   * @param text one that {@linkplain #read is} a keyword
   * @param languages those besides English whose words count, the first of several that have it
   */
  public static Language languageOf(String text, Set<Language> languages) {
    List<String> tokens = Tokens.of(text);
    List<String> words = List.of(String.join("", tokens), tokens.isEmpty() ? "" : tokens.get(0));
    return Arrays.stream(Language.values())
        .filter(language -> language == Language.EN || languages.contains(language))
        .filter(language ->
            words.stream()
                .anyMatch(word -> WORDS.getOrDefault(language, Map.of()).containsKey(word)))
        .findFirst()
        .orElse(Language.EN);
  }

  private static Optional<Keyword> meaning(String word, Set<Language> languages) {
    return WORDS.entrySet().stream()
        .filter(entry -> entry.getKey() == Language.EN || languages.contains(entry.getKey()))
        .flatMap(entry -> Optional.ofNullable(entry.getValue().get(word)).stream())
        .findFirst();
  }
}
