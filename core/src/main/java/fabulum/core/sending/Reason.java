package fabulum.core.sending;

import java.util.Arrays;
import java.util.Collection;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What can speak against a text, in the order in which it is said. Its {@link #code()} is stable
 * and part of the API.
 */
public enum Reason {
  /** The customer opted out of texts of this kind. */
  OPTED_OUT(Severity.REFUSE, Severity.REFUSE),
  /** There are no words in it. */
  EMPTY(Severity.REFUSE, Severity.REFUSE),
  /** The sender is a name or a short code. */
  CANNOT_BE_ANSWERED(Severity.REFUSE, Severity.REFUSE),
  /** The line is switched off. */
  LINE_OFF(Severity.REFUSE, Severity.REFUSE),
  /** The line is not registered with the networks. */
  LINE_NOT_REGISTERED(Severity.REFUSE, Severity.REFUSE),
  /** A person marked the number as wrong. */
  MARKED_WRONG(Severity.REFUSE, Severity.ASK),
  /** The number does not exist. */
  NO_SUCH_NUMBER(Severity.REFUSE, Severity.ASK),
  /** The number cannot receive texts, for example a fixed line. */
  CANNOT_RECEIVE(Severity.REFUSE, Severity.ASK),
  /** The line sends no texts to the number's country. */
  COUNTRY_NOT_REACHED(Severity.REFUSE, Severity.REFUSE),
  /** An attachment is larger than the line carries. */
  ATTACHMENT_TOO_LARGE(Severity.REFUSE, Severity.REFUSE),
  /** An attachment is of a kind that the line does not carry. */
  ATTACHMENT_KIND(Severity.REFUSE, Severity.REFUSE),
  /** A placeholder is not filled in. */
  PLACEHOLDER(Severity.REFUSE, Severity.ASK),
  /** It takes more parts than the line sends. */
  TOO_MANY_PARTS(Severity.REFUSE, Severity.ASK),
  /** It takes more parts than are left of an allowance. */
  OVER_ALLOWANCE(Severity.REFUSE, Severity.TELL),
  /** The customer has not agreed to news and offers. */
  NO_AGREEMENT_TO_NEWS(Severity.REFUSE, Severity.ASK),
  /** It is not known whether the customer agrees to texts. */
  NO_AGREEMENT(Severity.TELL, Severity.IGNORE),
  /** A colleague answered while it was written. */
  ANSWERED_MEANWHILE(Severity.ASK, Severity.ASK),
  /** It is the first to a group, whose numbers see each other's texts. */
  GROUP_BEGINS(Severity.ASK, Severity.IGNORE),
  /** Some numbers of a group do not get it. */
  NOT_ALL_REACHED(Severity.TELL, Severity.TELL),
  /** The same text went to this number a moment ago. */
  SAME_TEXT(Severity.ASK, Severity.IGNORE),
  /** It is night where the customer is. */
  NIGHT(Severity.ASK, Severity.IGNORE),
  /** It is a day off where the customer is. */
  DAY_OFF(Severity.TELL, Severity.IGNORE),
  /** There is a web address in it, to a number that never wrote. */
  WEB_ADDRESS(Severity.ASK, Severity.IGNORE),
  /** It goes to many. */
  MANY_RECIPIENTS(Severity.ASK, Severity.IGNORE),
  /** Most of an allowance is used. */
  ALLOWANCE_NEARLY_USED(Severity.TELL, Severity.IGNORE),
  /** The network does not answer at the moment, so it waits. */
  NETWORK_WAITING(Severity.TELL, Severity.IGNORE);

  private final Severity usual;
  private final Severity mildest;

  Reason(Severity usual, Severity mildest) {
    this.usual = usual;
    this.mildest = mildest;
  }

  /** The name in the API: {@code opted-out}. */
  public String code() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Those with these codes; a code that is not known here names none. */
  public static Set<Reason> ofCodes(Collection<String> codes) {
    return Arrays.stream(values())
        .filter(reason -> codes.contains(reason.code()))
        .collect(Collectors.toUnmodifiableSet());
  }

  /** How much it weighs unless a lead says otherwise. */
  public Severity usual() {
    return usual;
  }

  /** The least that a lead can make of it. */
  public Severity mildest() {
    return mildest;
  }

  /** Whether it can be known only when the text goes, and not ahead. */
  public boolean isOfTheMoment() {
    return switch (this) {
      case PLACEHOLDER,
          OVER_ALLOWANCE,
          ALLOWANCE_NEARLY_USED,
          ANSWERED_MEANWHILE,
          SAME_TEXT,
          NETWORK_WAITING ->
          true;
      default -> false;
    };
  }

  /** Whether a lead can say how much it weighs. */
  public boolean isSettable() {
    return this != ANSWERED_MEANWHILE && this != NOT_ALL_REACHED && mildest != Severity.REFUSE;
  }
}
