package fabulum.core.sending;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.phone.NamedSender;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.sending.SendDecision.Allowed;
import fabulum.core.sending.SendDecision.Reason;
import fabulum.core.sending.SendDecision.Refused;
import java.util.List;
import org.junit.jupiter.api.Test;

class SendRulesTest {
  private static final PhoneNumber NUMBER = new PhoneNumber("+13125550123");

  @Test
  void saysHowManyPartsItWillTake() {
    assertThat(SendRules.decide("Lift at 9", NUMBER, true)).isEqualTo(new Allowed(1));
    assertThat(SendRules.decide("x".repeat(SendRules.LONGEST), NUMBER, true))
        .isEqualTo(new Allowed(11));
  }

  @Test
  void namesAllReasonsAtOnce() {
    assertThat(SendRules.decide(" ", new NamedSender("78777"), false))
        .isEqualTo(
            new Refused(List.of(Reason.EMPTY, Reason.CANNOT_BE_ANSWERED, Reason.LINE_CLOSED_DOWN)));
    assertThat(SendRules.decide("x".repeat(1601), NUMBER, true))
        .isEqualTo(new Refused(List.of(Reason.TOO_LONG)));
  }
}
