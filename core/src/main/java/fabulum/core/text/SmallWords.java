package fabulum.core.text;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Whether a text is in English, by the small words that every sentence needs: articles, pronouns,
 * prepositions. A word that several languages have counts for each of them.
 */
public final class SmallWords {
  /** Letters of other scripts: nothing here is written in them. */
  private static final Pattern OTHER_SCRIPT = Pattern.compile("[\\p{L}&&[^\\p{IsLatin}]]");

  private static final Pattern ACCENT = Pattern.compile("[\\p{L}&&[^\\p{ASCII}]]");

  private static final Map<Language, Set<String>> WORDS = new EnumMap<>(Language.class);

  static {
    put(
        Language.EN,
        "the a an and or but of to in on at for from with by about is are was were be been am do does did done have has had can could will"
            + " would should may might i you he she it we they me him her us them my your his our their this that these those there here what"
            + " when where who how why which not no yes if as so too then than any some all im its dont cant ill id ive were please thanks hi"
            + " hello just get got need want still again today tomorrow open until u ur pls r");
    put(
        Language.ES,
        "el la los las un una y o pero de del a al en con por para sin es son esta estan soy era fue ser hay tengo tiene puedo puede quiero"
            + " quiere yo tu usted ustedes nosotros me te se lo le les mi mis su sus nuestro este esta esto ese eso que cuando donde quien como"
            + " cual cuanto cuanta no si ya muy mas hoy manana hola gracias favor voy va vamos necesito estoy estamos hora dia");
    put(
        Language.FR,
        "le la les l un une des et ou mais de du d a au aux en avec pour par sans est sont suis etes sommes etait c j ai as avez avons peut"
            + " peux veux voudrais je tu il elle on nous vous ils elles me m te se mon ma mes votre vos notre ce cet cette ca que qu quand qui"
            + " comment combien quel quelle ne pas n y oui non si aujourdhui demain bonjour merci svp cest jai est");
    put(
        Language.DE,
        "der die das den dem des ein eine einen einem einer und oder aber von vom zu zum zur in im an am auf fur mit bei aus nach uber ist"
            + " sind war bin seid habe hat haben kann konnen konnte muss wird werden will mochte ich du er sie es wir ihr mir mich uns euch"
            + " mein meine unser unsere ihre dein was wann wo wer wie warum welche nicht kein keine ja nein noch schon auch heute morgen hallo"
            + " danke bitte gibt wenn dass");
    put(
        Language.PT,
        "o a os as um uma e ou mas de do da dos das no na nos nas em com por para sem ao e sao esta estao sou era foi ser ha tenho tem posso"
            + " pode quero eu tu voce voces nos me te se lo meu minha seu sua nosso este esta isto esse isso que quando onde quem como qual"
            + " quanto nao sim ja muito mais hoje amanha ola obrigado obrigada favor vou vai vamos preciso estou");
    put(
        Language.IT,
        "il lo la i gli le un uno una e o ma di del della dei a al alla in nel nella con per da dal su senza e sono sei era ho ha hai abbiamo"
            + " posso puo voglio vorrei io tu lui lei noi voi mi ti si ci vi mio mia suo sua nostro questo questa quello che quando dove chi come"
            + " quale quanto non si gia molto piu oggi domani ciao buongiorno grazie favore vado va andiamo c");
    put(
        Language.NL,
        "de het een en of maar van te in op aan voor met bij uit naar over is zijn was ben bent heb heeft hebben kan kunnen moet wil wordt"
            + " zou ik jij je u hij zij ze wij we jullie mij me ons hun mijn uw onze dit dat deze die wat wanneer waar wie hoe waarom welke niet"
            + " geen ja nee nog ook al er vandaag morgen hallo dank bedankt graag");
    put(
        Language.PL,
        "i a w na z ze do od dla o po przez przy jest sa byl byla jestem mam ma mamy moge mozna moze chce chcialbym chcialabym ja ty on ona"
            + " my wy oni mnie mi mam sie go jej nas nam moj moja moje nasz ten ta to te co kiedy gdzie kto jak dlaczego ile czy nie tak juz"
            + " jeszcze bardzo dzis jutro dzien dobry dziekuje prosze czesc");
  }

  private SmallWords() {}

  private static void put(Language language, String words) {
    WORDS.put(language, new HashSet<>(Arrays.asList(words.split(" "))));
  }

  /**
   * Whether a text may be English: no other language has more of its small words, all its letters
   * are Latin ones, and where it has no small words, none has an accent.
   */
  public static boolean mayBeEnglish(String text) {
    if (OTHER_SCRIPT.matcher(text).find()) {
      return false;
    }
    List<String> words = Tokens.of(text);
    long english = count(words, Language.EN);
    if (english == 0 && ACCENT.matcher(text).find()) {
      return false;
    }
    return WORDS.keySet().stream().allMatch(other -> count(words, other) <= english);
  }

  private static long count(List<String> words, Language language) {
    Set<String> small = WORDS.getOrDefault(language, Set.of());
    return words.stream().filter(small::contains).count();
  }
}
