package fabulum.core.identify;

import fabulum.core.reading.Reading;
import fabulum.core.reading.Stems;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/** Evidence for and against "nobody we know". */
final class Stranger {
  private static final Pattern VISITOR =
      Pattern.compile(
          "\\b(?:do (?:you|u)(?! (?:need|want|think|know if|mean))"
              + "|are (?:you|u) (?:guys )?(?:taking|hiring|open|accepting|looking|still|the)|do you guys|how (?:much|deep|long|far) (?:is|for|does|do|to|are|would)"
              + "|what (?:does|do) (?:a|an|it|you|the)?|whats (?:the|your) (?:rent|rate|address|labor|price|cost|hours)|what time do you|looking for|interested in"
              + "|still (?:available|for sale)|first time|new (?:client|customer|patient|here)|never been|just moved|saw (?:your|you|the)|is this the|is it the"
              + "|is the .{0,40}(?:available|for sale|included)|would like to (?:rent|apply|register|book|visit)|wed like to|id like to (?:apply|rent|register)"
              + "|can (?:you|i|someone|anyone|we) (?:see|recommend|register|read|program|buy|check|talk|come look)|could you recommend|do i need|price (?:on|for)"
              + "|quote (?:for|on)|recommended|friend (?:said|keeps)|any (?:openings|vacancies|transient)|passing through|visiting from"
              + "|visitors|short term|is there (?:a|an|anyone)|when could you|does (?:the|your) |waiting list|for the .{0,20}job|hiring"
              + "|cuanto cuesta|busco|atienden|primera vez|combien|wie viel|ich suche|je cherche|quanto costa)\\b");
  private static final Pattern WRONG =
      Pattern.compile(
          "\\b(?:wrong (?:number|person)|wrong$|this (?:isnt|is not)|no this is|grandma|mom|coach|happy birthday|dinner"
              + "|package|your (?:table|order|ride|hair|package|free trial)|appt|reservation|we need you|see you at|pick me up|bring the"
              + "|your appointment|gym|you left|are we still on"
              + "|falsche nummer|numero equivocado|mauvais numero)\\b");
  private static final Pattern SELLING =
      Pattern.compile(
          "\\b(?:http|https|click|congratulations|loan|reply (?:yes|1|info|join)|text join|warranty|website|seo|cash|investor|reviews|0 down|solar"
              + "|qualify|verify|account|final notice|urgent|earn|special(?:ists)?|guaranteed|offer|selling|pre approved|delivery|supply|your order"
              + "|driver with|ships|pallet|pick ?up today|inspector|fuel delivery|courier)\\b");
  private static final Pattern NEW_NUMBER =
      Pattern.compile(
          "\\b(?:new (?:\\w+ )?(?:phone|number|cell|sim|mobile|iphone)|(?:phone|number|cell) is new|number again|my phone (?:died|drowned|fellke|got)|phone (?:is )?(?:broke|died|dead|stolen)"
              + "|old phone|use this (?:one|cell|number|phone)|(?:using|on|from) my \\w+ (?:phone|cell|telephone)|s (?:phone|telephone|cell)|work phone|temporary number|nuevo numero|numero nuevo"
              + "|nowy numer|neue nummer|nouveau numero|novo numero|deck phone|sat phone|office number|this is my (?:new|other|work))\\b");
  private static final Pattern FAMILIAR =
      Pattern.compile(
          "\\b(?:again|still|any (?:news|word|update|luck)|update|as (?:discussed|agreed)|my (?:boat|invoice|bill|unit|lease|berth|slip|mast|dock|spot|truck|rent)|our (?:hull|dock|boat|spot)"
              + "|ready yet|is (?:it|she|he|my|the) \\w* ?(?:done|ready|finished)|when (?:do|will|can) (?:you|i|we)|where do we stand|did (?:you|the|my|it|anyone)|said you|you said"
              + "|back on|what do i owe|the (?:usual|same)|change of plan|thanks for the|go ahead|please (?:call|order))\\b");
  private static final int FEW = 2;

  private Stranger() {}

  /**
   * Reads the signs.
   *
   * @param newName whether the text gives a name that nobody on file has
   */
  static List<Evidence> of(Reading reading, boolean newName) {
    List<Evidence> found = new ArrayList<>();
    found.add(new Evidence(Clue.NOBODY, 1, "Most who write from an unknown number are new."));
    String plain = reading.plain();
    add(found, VISITOR, plain, Clue.VISITOR, "Asks as people ask who come for the first time.");
    add(found, WRONG, plain, Clue.WRONG_PERSON, "Seems meant for someone else.");
    add(found, SELLING, plain, Clue.SELLING, "Reads like an advertisement or a delivery.");
    add(found, NEW_NUMBER, plain, Clue.NEW_NUMBER, "Says that the number is new.");
    add(found, FAMILIAR, plain, Clue.FAMILIAR, "Writes as someone who knows us.");
    if (newName) {
      found.add(new Evidence(Clue.NEW_NAME, 1, "Gives a name that nobody on file has."));
    }
    if (reading.stems().stream().mapToDouble(Stems::weight).sum() < FEW) {
      found.add(new Evidence(Clue.FEW_WORDS, 1, "Too few words to tell."));
    }
    return found;
  }

  /** Whether it asks as people ask who come for the first time. */
  static boolean asksAsVisitor(Reading reading) {
    return VISITOR.matcher(reading.plain()).find();
  }

  private static void add(
      List<Evidence> to, Pattern sign, String plain, Clue clue, String sentence) {
    if (sign.matcher(plain).find()) {
      to.add(new Evidence(clue, 1, sentence));
    }
  }
}
