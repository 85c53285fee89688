package fabulum.core.wrongnumber;

import fabulum.core.text.Tokens;
import java.util.List;
import java.util.regex.Pattern;

/**
 * Texts by which a number answers that it is the wrong one. All languages count: nothing is done
 * that a person cannot take back.
 */
public final class WrongNumber {
  private static final String NUMBER = "(?:number|nr|num|numbr|nmbr|no|phone|cell|phone number)";
  private static final String PERSON = "(?:person|guy|man|woman|lady|dude|individual|one|customer)";

  private static final List<Pattern> SAYING =
      compiled(
          // Wrong number; sorry, wrong person.
          "^(?:(?:sorry|sry|hi|hello|hey|no|nope|oops|not me|i think|think|ok|um|uh|this is|its|it is|a|the|you have|again|ma am|sir|man) )*"
              + "wrong (?:"
              + NUMBER
              + "|"
              + PERSON
              + "|"
              + "numbers)"
              + "(?: (?:sorry|again|bud|man|sir|ma am|thanks|thank you|lol|please|here|i think))*(?: (?:please )?(?:remove|stop|delete|check|update).*)?$",
          "^wrong$",
          // You have the wrong number.
          "\\b(?:you|u|youve|ya|yall|have|got|reached|texted|texting|contacting|texts?|called|calling|dialed|have reached|have got)"
              + "(?: (?:have|has|got|keep|are|must|just|still|re))*(?: (?:texting|contacting|calling|texted|reached|have|having|got))?"
              + "(?: to)?(?: a| the)? wrong (?:"
              + NUMBER
              + "|"
              + PERSON
              + ")\\b(?! (?:on|of|for the|in))",
          "\\bwrong (?:number|person) for (?!the |a |an |this |that )\\w+$",
          "\\b(?:not|isnt) (?:the|a) right (?:number|person)\\b(?! to\\b)",
          // Not Dale; this isn't Carol.
          "^(?:no |nope |hi |hello |sorry |hey |um )*(?:this|that)(?: is not| isnt| aint|s not| phone is not| number is not) (?!(?:the|a|an|my|our|what|how|working|good|right|fair|for|me|funny|urgent|where|why|it|in|on|ok|your)\\b)\\w+(?: \\w+)?(?: (?:lol|anymore|any more|sorry|s number|s phone))*$",
          "^(?:no |nope |sorry |hi |hello )*(?:this|that)(?: is not| isnt| aint|s not) (?!(?:the|a|an|my|our|what|how)\\b)\\w+(?: \\w+)? (?:he|she|they|you|wrong|must|got|i)\\b",
          "^(?:no |nope )*not (?!(?:me|my|the|a|an|sure|yet|now|today|tomorrow|really|at|in|on|for|good|bad|that|this|until|before|any|so|much|too|ready|to)\\b)\\w+ (?:wrong|got this|sorry)\\b",
          "(?:^|\\b(?:and|but|sorry|no|nope|but i|years and) )(?:i am|im|my names|my name is|i was) not (?!(?:here|sure|ready|happy|going|in|at|home|able|well|feeling|available|a|an|the|coming|free|interested|really|the one|complaining|certain|done|from|working|on|yet)\\b)"
              + "(?:mr |mrs |ms )?\\w+(?: \\w+)?(?: (?:wrong number|lol|sorry|anymore|you .*|i .*|and never was|and i .*))?$",
          "\\b(?:im|i am) not (?:who you think|the person|your customer|him\\b|her\\b)",
          // Nobody by that name.
          "\\b(?:no one|nobody|no body|noone|no)(?: (?:here|there|is|person|one))* (?:by that name|named \\w+|called \\w+|with that name)\\b",
          "^(?:hi |sorry |hello )*(?:theres|there is|there are) no (?!(?:one|body|heat|water|power|way|rush|hurry|need|problem|room|time|more|such|answer|light|parking|doubt|reason|key|gas|hot)\\b)\\w+ (?:here|at this number|on this number)$",
          "\\b(?:dont|do not|have no idea|no idea) know (?:any|a|who) (?!(?:good|one|where|time)\\b)\\w+(?: \\w+)?(?: (?:is|that is|this is for.*))?$",
          "\\b(?:have no idea|no idea|dont know) who (?:\\w+ is|that is|this is|\\w+ \\w+ is)\\b(?! (?:back|coming))",
          // No longer Bob's number.
          "\\b(?:is|was) (?:no longer|not) \\w+(?: \\w+)? (?:number|phone|cell)\\b",
          "\\b(?:number|phone|cell) (?:no longer|does not|doesnt|does no longer)(?: (?:belong|belongs))? to\\b",
          "\\b(?:number|phone|cell) doesnt belong to\\b",
          "\\b(?!my |it |i |we |this )\\w+ (?:doesnt|does not|no longer) (?:have|has|use|uses) (?:this|that) (?:number|phone|cell)\\b",
          "\\bnot (?:her|his|their) (?:number|phone|cell)\\b",
          "\\bi (?:just )?(?:got|have|had|received) this (?:\\w+ )?(?:number|phone)\\b(?!.*\\b(?:from|for|on) (?:your|the|a)\\b).*\\b(?:dont know|not|isnt|no)\\b",
          "\\b(?:number|phone) was given to me\\b",
          // Meant for someone else.
          "\\b(?:meant|intended|for)(?: (?:to text|to be|was))*(?: for)? (?:someone|somebody) else\\b(?! to)",
          "\\bmessage (?:isnt|is not|wasnt|was not) (?:for|meant for) me\\b",
          "\\b(?:its|it is|thats|that is) not (?:for )?me\\b(?! (?:in|on|who|that))",
          "\\bgetting (?:texts|calls|messages) for\\b.*\\bnot\\b",
          "\\bcheck your number\\b",
          // Spanish.
          "\\bnumero (?:equivocado|incorrecto)\\b(?! (?:para|de|en))",
          "\\b(?:se )?(?:equivoco|equivocaste|equivocado) de (?:numero|persona)\\b",
          "\\bno soy \\w+(?: \\w+)? (?:se )?equivoc\\w+",
          "\\bequivocad[oa] yo no soy\\b",
          "\\beste (?:numero )?(?:ya )?no es (?:el numero )?de \\w+",
          "\\beste no es el numero de\\b",
          "\\baqui no (?:vive|hay|esta) ningun\\w*\\b",
          "\\bno conozco a ningun\\w*\\b",
          // French.
          "\\b(?:mauvais|faux) numero\\b",
          "\\b(?:trompe|trompez|trompee|erreur)\\w* de numero\\b",
          "\\bpas le numero de\\b",
          "\\bce nest plus (?:son|le) numero\\b",
          "\\bje ne suis pas \\w+ vous (?:avez fait erreur|vous trompez|vous etes trompe)",
          // German.
          "^(?:sorry |tut mir leid )*falsche nummer$",
          "\\b(?:sie haben|du hast|haben sie) (?:da )?(?:die |eine )?falsche nummer\\b",
          "\\bverwahlt\\b",
          "\\bfalsch verbunden\\b",
          "\\bhier gibt es kein\\w* (?:herr|frau)\\w*",
          "\\bnicht (?:mehr )?die nummer von\\b",
          // Portuguese.
          "\\bnumero errado\\b",
          "\\beste numero nao e (?:mais )?d[oae]\\b",
          "\\bfoi engano\\b",
          // Italian.
          "^(?:scusi |scusa )*numero sbagliato$",
          "\\b(?:ha|hai|avete|ho) (?:sbagliato|il) numero(?: sbagliato)?\\b",
          "\\bnon conosco nessun\\w*\\b",
          // Dutch.
          "^(?:sorry )?verkeerd nummer$",
          "\\bverkeerde? nummer\\b(?! (?:op|van))",
          // Polish.
          "^(?:to )?pomylka$",
          "\\bzly numer\\b",
          "\\bpomylil\\w*(?: \\w+)? numer\\b",
          "\\bto nie (?:jest )?numer \\w+");

  /** What merely contains such words. */
  private static final List<Pattern> NOT_SAYING =
      compiled(
          "\\b(?:did i|am i|is this|do i have|have i|was that|could this be)\\b.*\\bwrong (?:number|person)\\b",
          "\\b(?:i|we) (?:may have |might have |must have )?(?:gave|given|texted|called|dialed|sent|put|wrote|typed)\\b.*\\bwrong\\b",
          "\\bwrong (?:number|phone number|numbers) (?:of|on|in|for the)\\b",
          "\\bwrong (?:part|model|serial|order|account|invoice|slip|unit) number\\b",
          "\\b(?:put|wrote|printed|listed) the wrong\\b",
          "\\bwrong (?:person|one|number)(?: \\w+)* (?:group|chat|ignore)\\b",
          "\\bmeant to (?:text|write|send)(?: \\w+)? (?:you|my)\\b",
          "\\b(?:looking|need|find|ask|text|want) (?:for )?someone else\\b(?<!meant to text someone else)",
          "\\bnot (?:\\w+s) (?:wife|husband|son|daughter|sister|brother|mother|father)\\b.*\\b(?:im|i am) (?:his|her|their)\\b",
          "\\bmy (?:new|old) number\\b",
          "^es este el numero equivocado\\b");

  private WrongNumber() {}

  private static List<Pattern> compiled(String... patterns) {
    return java.util.Arrays.stream(patterns).map(Pattern::compile).toList();
  }

  /** Whether a text says that its writer is not the one we mean. */
  public static boolean isSaidIn(String text) {
    String plain = String.join(" ", Tokens.of(text.replace("#", " number ")));
    return SAYING.stream().anyMatch(pattern -> pattern.matcher(plain).find())
        && NOT_SAYING.stream().noneMatch(pattern -> pattern.matcher(plain).find());
  }
}
