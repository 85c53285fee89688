package fabulum.core.identify;

import fabulum.core.reading.Reading;
import java.util.Locale;
import java.util.regex.Pattern;

/** Whether a text reads like an answer to a question, by the kind of question. */
final class Questions {
  private static final Pattern WHEN =
      Pattern.compile("\\bwhen\\b|what time|which day|how soon|how long");
  private static final Pattern TIMES =
      Pattern.compile(
          "\\b(?:today|tomorrow|tonight|monday|tuesday|wednesday|thursday|friday|saturday|sunday|mon|tue|wed|thu|fri|sat|sun|morning|afternoon"
              + "|evening|noon|next week|weekend|after \\d+|at \\d+|by \\d+|\\d+ ?(?:am|pm|days?|weeks?|hours?)|anytime|any time)\\b");
  private static final Pattern COUNT = Pattern.compile("how (?:many|much|old|big|far)");
  private static final Pattern COUNTS =
      Pattern.compile(
          "\\b(?:\\d+|one|two|three|four|five|six|seven|eight|nine|ten|all|none|both|half|dozen)\\b");
  private static final Pattern WHO = Pattern.compile("\\bwho\\b");
  private static final Pattern PERSON =
      Pattern.compile("\\b(?:i will|ill|me|my|he|she|they|we will|will)\\b");
  private static final Pattern YES_OR_NO =
      Pattern.compile(
          "(?:^|[.,!:;] )(?:\\S+ )?(?:is|are|do|does|did|can|could|shall|should|would|will|has|have|was|may|any|ok|still)\\b[^?.]*\\?|\\breply\\b");
  private static final Pattern YES_NO_ANSWER =
      Pattern.compile(
          "^(?:hi |hello |oh |ok |well |sorry |thanks )?(?:yes|yeah|yep|yup|no|nope|not|sure|go ahead|please do|ok|okay|fine|absolutely|of course|correct|never"
              + "|all good|c|y|n|si|oui|ja|nein|non|he|she|it|they|theres|there is|that works|works|both|neither|i (?:do|did|will|can|have|am|was|started)|do"
              + "|stop|keep|book|only|just)\\b");
  private static final double WHO_FITS = 0.5;

  private Questions() {}

  /** 0 for no likeness, 1 where the text has what the question asks for. */
  static double fit(String question, Reading reading) {
    String asked = question.toLowerCase(Locale.ROOT);
    String text = reading.plain();
    if (YES_NO_ANSWER.matcher(text).find() && YES_OR_NO.matcher(asked).find()) {
      return 1;
    }
    if (WHEN.matcher(asked).find() && TIMES.matcher(text).find()
        || COUNT.matcher(asked).find() && COUNTS.matcher(text).find()) {
      return 1;
    }
    return WHO.matcher(asked).find() && PERSON.matcher(text).find() ? WHO_FITS : 0;
  }
}
