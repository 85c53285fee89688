package fabulum.core.sending;

import java.time.Duration;
import java.time.LocalTime;
import java.util.EnumMap;
import java.util.Map;

/**
 * What a lead has set about texts that go out.
 *
 * @param severities of the reasons that weigh something else than usual
 * @param sameTextWithin how long ago the same text counts as said a moment ago
 * @param nightFrom when the night begins where the customer is
 * @param nightUntil when it ends
 * @param manyRecipients from how many on a text goes to many
 */
public record SendPolicy(
    Map<Reason, Severity> severities,
    Duration sameTextWithin,
    LocalTime nightFrom,
    LocalTime nightUntil,
    int manyRecipients) {
  /** Safe for a business that has set nothing. */
  public static final SendPolicy USUAL =
      new SendPolicy(Map.of(), Duration.ofMinutes(10), LocalTime.of(21, 0), LocalTime.of(8, 0), 25);

  public SendPolicy {
    severities = Map.copyOf(severities);
    severities.forEach(SendPolicy::require);
    if (sameTextWithin.isNegative() || manyRecipients < 2) {
      throw new IllegalArgumentException("Not a length of time, or not many");
    }
  }

  private static void require(Reason reason, Severity severity) {
    if (!allows(reason, severity)) {
      throw new IllegalArgumentException(reason.code() + " cannot be made " + severity);
    }
  }

  /** Whether a lead can give a reason that weight. */
  public static boolean allows(Reason reason, Severity severity) {
    return severity == reason.usual()
        || reason.isSettable() && severity.compareTo(reason.mildest()) >= 0;
  }

  /** The same with another weight for a reason. */
  public SendPolicy with(Reason reason, Severity severity) {
    Map<Reason, Severity> changed = new EnumMap<>(Reason.class);
    changed.putAll(severities);
    changed.put(reason, severity);
    return new SendPolicy(changed, sameTextWithin, nightFrom, nightUntil, manyRecipients);
  }

  /** How much a reason weighs. */
  public Severity of(Reason reason) {
    return severities.getOrDefault(reason, reason.usual());
  }

  /** Whether a local time lies in the night; the night may go over midnight. */
  public boolean isNight(LocalTime there) {
    boolean begun = !there.isBefore(nightFrom);
    boolean notOver = there.isBefore(nightUntil);
    return nightFrom.isAfter(nightUntil) ? begun || notOver : begun && notOver;
  }
}
