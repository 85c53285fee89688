package fabulum.core.agreement;

import fabulum.core.text.Language;
import fabulum.core.text.Tokens;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Sentences that plainly ask for no more texts, such as "please take me off your list". They are
 * shown to a person and never acted on alone.
 */
public final class StopWish {
  private static final Map<Language, List<Pattern>> ASKING = new EnumMap<>(Language.class);
  private static final Map<Language, List<Pattern>> NOT_ASKING = new EnumMap<>(Language.class);

  private static final String MESSAGES =
      "(?:texts?|text messages?|messages?|messaging|msgs?|sms|txts?|promos?|promotions|offers|spam|ads?"
          + "|advertisements?|notifications?|alerts?|updates|reminders)";
  private static final String US =
      "(?:me|us|my (?:number|phone|cell)|this (?:number|phone|cell)|here)";
  private static final String WRITE =
      "(?:text|txt|message|msg|sms|contact|write|spam|bother|pester|harass)";
  private static final String WRITING =
      "(?:texting|txting|messaging|contacting|writing|spamming|bothering|pestering|bugging|harassing)";

  static {
    ask(
        Language.EN,
        // Stop texting me; quit sending us these messages; stop all the texts.
        "(?:stop|quit|cease|discontinue|end)(?: \\w+){0,2} "
            + WRITING
            + "(?! (?:jim|him|her|them)\\b)",
        "(?:stop|quit|cease|discontinue)(?: \\w+){0,2} (?:sending|getting|receiving)(?: \\w+){0,3} "
            + MESSAGES
            + "\\b",
        "(?:stop|quit|cease|discontinue) sending(?: (?:me|us))?"
            + " (?:these|those|this|them|stuff|things)(?: please| now)*$",
        "(?:stop|quit|cease|discontinue|end|cancel|turn off|shut off|switch off)"
            + "(?: (?:with|w|all|the|your|these|those|this|any|of|to))* "
            + MESSAGES
            + "\\b",
        "(?:make|want) (?:\\w+ ){0,2}" + MESSAGES + " (?:to )?stop\\b",
        "(?:said|say|told you(?: \\w+)? to|asked you to|begging you to) stop\\b",
        "\\bcease and desist\\b",
        // Don't text me again.
        "(?:dont|do not|never|no longer|not)(?: (?:ever|please))? "
            + WRITE
            + "(?: "
            + US
            + ")?(?: (?:again|any ?more|ever|ever again|any longer|please|thanks|thank you))*$",
        "(?:told|asked)(?: \\w+){0,2} not to " + WRITE + " " + US + "\\b",
        "(?:dont|do not|never)(?: ever)? (?:text|message) (?:or|and) (?:call|write)(?: "
            + US
            + ")?",
        "(?:no|not have|dont have|without) (?:permission|consent) to (?:text|message|contact)",
        "(?:dont|do not|never)(?: ever)? send (?:me|us) (?:anything|any more|stuff|more)\\b",
        "(?:dont|do not|never)(?: ever)? send(?: "
            + US
            + ")?(?: (?:any|more|any more|these|your|further))* "
            + MESSAGES
            + "\\b",
        // Take me off your list; remove my number.
        "(?:take|taken|removed?|deleted?|struck|strike|get|dropp?(?:ed)?|pull|blocked|block|want)"
            + "(?: \\w+){0,4} (?:off|from|out of)(?: \\w+){0,3}"
            + " (?:lists?|database|system|contacts|records|directory|distribution|"
            + MESSAGES
            + ")\\b",
        "wrong (?:number|person|phone)(?: \\w+){0,4} (?:delete|remove|take|drop|lose)\\b",
        "(?:take|get) (?:me|us) off(?: please| now| thanks)*$",
        "(?:remove|delete|erase|lose|forget|drop) (?:me|us|(?:my|this|our) (?:number|phone number|cell|name))"
            + "(?: (?:please|pls|plz|now|thanks|thank you|immediately))*$",
        // Unsubscribe me.
        "^(?:please |pls |kindly )*unsubscribe(?: \\w+){0,3}$",
        "unsubscribe (?:me|us|this (?:number|phone)|my number)",
        "(?:want|wish|like|need|how (?:do|can) i|how to|trying) ?(?:to)? (?:unsubscribe|opt out)",
        "\\bopt (?:me|us) out\\b",
        // I do not want these texts.
        "^(?:i |we )?(?:dont|do not) want (?:these|this|any of (?:these|this)|them)(?: any ?more)?$",
        "rather not (?:get|receive|have|be sent)(?: \\w+){0,3} " + MESSAGES,
        "(?:dont|do not|no longer|never) (?:want|wish|care|need|consent|agree)(?: \\w+){0,4} (?:"
            + MESSAGES
            + "|texted|contacted|messaged|hear from you)\\b",
        "(?:never|didnt|did not) (?:sign(?:ed)? up|ask(?:ed)?|subscribe[d]?|consent(?:ed)?|agree[d]?)"
            + "(?: \\w+){0,4} (?:"
            + MESSAGES
            + "|texted)\\b",
        "(?:^|please |pls )no (?:more |further )?(?:texts?|messages?|text messages?|sms|texting)\\b"
            + "(?! (?:from|about|yet|since|came|received|arrived))",
        "\\bno (?:more |further )?(?:texts?|messages?) to this\\b",
        "enough (?:with|of) (?:\\w+ ){0,2}" + MESSAGES,
        "^(?:please |just )*leave (?:me|us) alone\\b",
        "(?:revoke|withdraw|rescind) (?:my|our|any|all) (?:\\w+ )?(?:consent|agreement|permission)",
        "(?:done|finished) with (?:\\w+ ){0,2}" + MESSAGES,
        // A slip of the finger in the word itself.
        "^(?:unsub\\w{0,8}|sotp|stpo|sttop|stopp+)$",
        // Please stop; ok stop now.
        "^(?=.*\\bstop\\b)(?:(?:please|pls|plz|kindly|just|ok|okay|now|it|this|that|already|thanks|thank|you"
            + "|hi|hello|sorry|i|said|immediately|right|can|could|would|no|and|stop) ?)+$");
    notAsk(
        Language.EN,
        "(?:dont|do not|never|not|cant|wont|didnt|didnt ask (?:you )?to) (?:ever )?(?:stop|quit|unsubscribe)\\b",
        "(?:did|when do|why do|why did|do|if) you (?:ever )?(?:stop|quit)",
        "(?:waiting|wait|berth|slip|mooring|cancellation|lift|launch|haul) list",
        "(?:email|e mail|newsletter|catalog|catalogue) ?(?:newsletter|list)?",
        "\\b(?:ha)+h?\\b",
        "\\breply stop\\b");
    ask(
        Language.ES,
        "dej(?:e|en|a|ar) de (?:enviar|mandar|escribir|molestar|contactar|textear)\\w*",
        "\\bno (?:(?:me|nos|le|les) )?(?:escrib|mand|envi|contact|molest|texte)\\w*(?: \\w+){0,3}"
            + "(?: (?:mas|mensajes|textos|sms)\\b|$)",
        "\\bno (?:quier|dese)\\w+(?: \\w+){0,3} (?:mensajes|textos|sms)",
        "(?:quit|borr|elimin|sac)\\w*(?:me|nos)(?: \\w+){0,2} (?:de|del) (?:la|su|sus|esta|este) \\w+",
        "(?:borr|elimin|quit)\\w* mi numero",
        "\\b(?:denme|deme|darme|dar) de baja\\b",
        "\\bno mas (?:mensajes|textos|sms)\\b");
    ask(
        Language.FR,
        "(?:arrete[zr]?|cesse[zr]?) (?:de |d)(?:m |me |n)?(?:m|nous )?(?:ecri|envoy|contact|text|harcel|derang)\\w*",
        "\\bne (?:m|me |nous )(?:ecri|envoy|contact|text|derang)\\w* plus\\b",
        "\\bje ne (?:veux|souhaite|desire) plus(?: \\w+){0,3} (?:messages?|textos?|sms)",
        "(?:retire|enleve|supprime|desinscri|desabonne|efface)\\w* (?:moi|nous|mon numero)",
        "^(?:svp )?plus de (?:messages|textos|sms)\\b");
    ask(
        Language.DE,
        "(?:horen|hor|hort) (?:sie )?(?:bitte )?(?:auf|damit auf)(?: \\w+){0,3}"
            + " (?:schreiben|schicken|senden|texten|kontaktieren|belastigen)",
        "(?:schreib\\w*|schick\\w*|send\\w*|kontaktier\\w*)(?: sie)?(?: mir| mich| uns)?(?: bitte)?"
            + "(?: nicht mehr| nie wieder| keine(?: weiteren)? (?:nachrichten|sms|texte))",
        "\\b(?:nicht mehr|nie wieder)(?: \\w+)? (?:schreiben|texten|kontaktieren|anschreiben)\\b",
        "\\bkeine (?:weiteren )?(?:nachrichten|sms|textnachrichten)(?: von ihnen)? mehr\\b",
        "(?:nehm\\w*|streich\\w*|losch\\w*|entfern\\w*)(?: sie)?(?: bitte)? (?:mich|uns|meine nummer)"
            + "(?: \\w+){0,2}(?: (?:von|aus)\\b|$)");
    ask(
        Language.PT,
        "\\b(?:pare|parem|para|parar) de (?:me |nos )?(?:mandar|enviar|escrever|contatar|incomodar)\\w*",
        "\\bnao (?:me |nos )?(?:mande|envie|escreva|contate|contacte)\\w*(?: \\w+){0,2} mais\\b",
        "\\bnao quero(?: mais)?(?: \\w+){0,2} (?:mensagens|sms|textos)",
        "(?:tir|remov|retir|exclu)\\w*(?: me| meu numero| nos)?(?: \\w+)? (?:da|dessa|desta|de sua) lista");
    ask(
        Language.IT,
        "smett\\w* di (?:scriver|mandar|inviar|contattar)\\w*",
        "\\bnon (?:scriver|mandar|mandate|scrivete|inviate|inviar|contattate|contattar)\\w*(?: piu)?",
        "\\bnon voglio(?: piu)?(?: \\w+){0,3} (?:messaggi|sms)",
        "(?:toglie|cancella|rimuove|elimina)\\w* (?:dalla|da questa|il mio numero)");
    ask(
        Language.NL,
        "\\bstop(?:pen)? (?:met|aub met) (?:\\w+ ){0,2}(?:sms\\w*|berichten|sturen|schrijven)",
        "\\bstuur(?: mij| me| ons)?(?: aub)? (?:geen|niet)(?: \\w+){0,2} (?:meer|berichten|smsjes)",
        "(?:haal|verwijder|schrap) (?:me|mij|ons|mijn nummer)",
        "\\bgeen (?:berichten|smsjes|sms|smsen) meer\\b",
        "\\bik wil geen(?: \\w+){0,2} (?:berichten|smsjes|sms)");
    ask(
        Language.PL,
        "\\bprzesta\\w* (?:\\w+ ){0,2}(?:pisac|wysylac|kontaktowac)",
        "\\bnie (?:pisz|pisac|piszcie|wysyla|kontaktowac)\\w*(?: \\w+){0,3} (?:wiecej|juz)\\b",
        "\\bnie chce(?: \\w+){0,3} (?:wiadomosci|smsow|sms)",
        "\\b(?:usun|usunac|usuncie|wykresl\\w*) (?:mnie|moj numer)");
  }

  /** A last sentence, or what follows a comma, that is only that: "I am not Dale. Stop." */
  private static final Pattern ENDS_WITH_STOP =
      Pattern.compile(
          "[.,;:!?\u2026\u2013\u2014\\n-]\\s*(?:please\\s+|just\\s+)?stop(?:\\s+please)?[\\s.!]*$",
          Pattern.CASE_INSENSITIVE);

  private StopWish() {}

  private static void ask(Language language, String... patterns) {
    ASKING.put(language, compiled(patterns));
  }

  private static void notAsk(Language language, String... patterns) {
    NOT_ASKING.put(language, compiled(patterns));
  }

  private static List<Pattern> compiled(String... patterns) {
    List<Pattern> all = new ArrayList<>();
    for (String pattern : patterns) {
      all.add(Pattern.compile(pattern));
    }
    return List.copyOf(all);
  }

  /**
   * Whether a text plainly asks for no more texts, in a sentence. A keyword alone is none.
   *
   * @param languages those besides English that are understood
   */
  public static boolean isIn(String text, Set<Language> languages) {
    if (Keywords.read(text, languages).isPresent()) {
      return false;
    }
    if (ENDS_WITH_STOP.matcher(text).find()) {
      return true;
    }
    String plain = String.join(" ", Tokens.of(text));
    return ASKING.keySet().stream()
        .filter(language -> language == Language.EN || languages.contains(language))
        .anyMatch(
            language -> finds(ASKING, language, plain) && !finds(NOT_ASKING, language, plain));
  }

  private static boolean finds(Map<Language, List<Pattern>> of, Language language, String plain) {
    return of.getOrDefault(language, List.of()).stream()
        .anyMatch(pattern -> pattern.matcher(plain).find());
  }
}
