package fabulum.core.sending;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.core.sending.SendQuestion.Allowance;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class SendPolicyTest {
  private static SendPolicy night(String from, String until) {
    return new SendPolicy(
        Map.of(),
        SendPolicy.USUAL.sameTextWithin(),
        LocalTime.parse(from),
        LocalTime.parse(until),
        2);
  }

  @ParameterizedTest
  @CsvSource({
    "21:00, 08:00, 20:59, false",
    "21:00, 08:00, 21:00, true",
    "21:00, 08:00, 07:59, true",
    "21:00, 08:00, 08:00, false",
    "01:00, 05:00, 00:59, false",
    "01:00, 05:00, 01:00, true",
    "01:00, 05:00, 04:59, true",
    "01:00, 05:00, 05:00, false",
    "05:00, 05:00, 05:00, false"
  })
  void theNightBeginsAndEndsAtItsMinuteAlsoOverMidnight(
      String from, String until, LocalTime there, boolean night) {
    assertThat(night(from, until).isNight(there)).isEqualTo(night);
  }

  @ParameterizedTest
  @EnumSource(Reason.class)
  void aReasonIsFoundByItsCode(Reason reason) {
    assertThat(reason.code()).matches("[a-z]+(-[a-z]+)*");
    assertThat(Reason.ofCodes(List.of(reason.code(), "no-such-reason"))).containsExactly(reason);
  }

  @Test
  void whatCannotBeMadeMilderIsRefused() {
    assertThatThrownBy(() -> SendPolicy.USUAL.with(Reason.OPTED_OUT, Severity.ASK))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("opted-out");
  }

  @Test
  void anotherWeightLeavesAllOtherWeightsAsTheyWere() {
    SendPolicy policy =
        SendPolicy.USUAL
            .with(Reason.NIGHT, Severity.IGNORE)
            .with(Reason.SAME_TEXT, Severity.REFUSE);
    assertThat(policy.of(Reason.NIGHT)).isEqualTo(Severity.IGNORE);
    assertThat(policy.of(Reason.SAME_TEXT)).isEqualTo(Severity.REFUSE);
    assertThat(policy.of(Reason.MANY_RECIPIENTS)).isEqualTo(Reason.MANY_RECIPIENTS.usual());
  }

  @Test
  void aheadOnlyWhatDoesNotBelongToTheMomentIsSaid() {
    Objection lasting = new Objection(Reason.OPTED_OUT, Severity.REFUSE, "Opted out.");
    Objection momentary = new Objection(Reason.SAME_TEXT, Severity.ASK, "Said a moment ago.");
    SendDecision ahead = new SendDecision(2, List.of(lasting, momentary)).ahead();
    assertThat(ahead).isEqualTo(new SendDecision(2, List.of(lasting)));
    assertThat(new SendDecision(1, List.of(momentary)).ahead().verdict())
        .isEqualTo(SendDecision.Verdict.MAY_GO);
  }

  @Test
  void anActOnManyObjectsInTheOrderOfTheReasons() {
    List<Objection> against =
        SendRules.ofAct(
            2,
            2,
            List.of(new Allowance("Priya", "today", 10, 10), new Allowance("Yard", "today", 10, 7)),
            night("21:00", "08:00"));
    assertThat(against.stream().map(Objection::reason)).isSorted();
    assertThat(Set.copyOf(against.stream().map(Objection::reason).toList()))
        .containsExactlyInAnyOrder(Reason.OVER_ALLOWANCE, Reason.MANY_RECIPIENTS);
  }
}
