package fabulum.core.agreement;

import static fabulum.core.agreement.Agreement.Answer.AGREED;
import static fabulum.core.agreement.Agreement.Answer.NOT_SAID;
import static fabulum.core.agreement.Agreement.Answer.OPTED_OUT;
import static fabulum.core.agreement.TextKind.NEWS;
import static fabulum.core.agreement.TextKind.SERVICE;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import org.junit.jupiter.api.Test;

class AgreementTest {
  private static final long DOCK = 1;
  private static final long YARD = 2;
  private static final Instant NOW = Instant.parse("2026-06-09T12:00:00Z");
  private static final Set<TextKind> BOTH = EnumSet.allOf(TextKind.class);

  private static AgreementChange given(Ground ground, Set<TextKind> kinds) {
    return new AgreementChange(NOW, true, kinds, ground, OptionalLong.empty(), Optional.empty());
  }

  private static AgreementChange withdrawn(Ground ground, Set<TextKind> kinds) {
    return new AgreementChange(NOW, false, kinds, ground, OptionalLong.empty(), Optional.empty());
  }

  private static AgreementChange on(long line, AgreementChange change) {
    return new AgreementChange(
        change.at(),
        change.given(),
        change.kinds(),
        change.ground(),
        OptionalLong.of(line),
        change.until());
  }

  private static Agreement.Answer service(AgreementChange... history) {
    return Agreement.at(List.of(history), DOCK, NOW).service().answer();
  }

  @Test
  void theLastChangeDecides() {
    assertThat(service()).isEqualTo(NOT_SAID);
    assertThat(service(given(Ground.BY_WORD, BOTH))).isEqualTo(AGREED);
    assertThat(service(given(Ground.FORM, BOTH), withdrawn(Ground.BY_WORD, BOTH)))
        .isEqualTo(OPTED_OUT);
    assertThat(service(withdrawn(Ground.BY_WORD, BOTH), given(Ground.BY_WORD, BOTH)))
        .isEqualTo(AGREED);
  }

  @Test
  void whoStoppedByKeywordStartsByKeywordOnly() {
    AgreementChange stop = withdrawn(Ground.KEYWORD, BOTH);
    assertThat(service(stop, given(Ground.BY_WORD, BOTH))).isEqualTo(OPTED_OUT);
    assertThat(service(stop, given(Ground.WROTE_FIRST, BOTH))).isEqualTo(OPTED_OUT);
    assertThat(service(stop, given(Ground.IMPORT, BOTH))).isEqualTo(OPTED_OUT);
    assertThat(service(stop, given(Ground.KEYWORD, BOTH))).isEqualTo(AGREED);
    assertThat(service(stop, withdrawn(Ground.BY_WORD, BOTH), given(Ground.BY_WORD, BOTH)))
        .isEqualTo(OPTED_OUT);
  }

  @Test
  void eachKindIsSaidByItself() {
    Agreement agreement =
        Agreement.at(
            List.of(given(Ground.FORM, BOTH), withdrawn(Ground.BY_WORD, Set.of(NEWS))), DOCK, NOW);
    assertThat(agreement.of(SERVICE).answer()).isEqualTo(AGREED);
    assertThat(agreement.of(NEWS).answer()).isEqualTo(OPTED_OUT);
  }

  @Test
  void aChangeOfOneLineHoldsForThatLine() {
    List<AgreementChange> history =
        List.of(given(Ground.FORM, BOTH), on(YARD, withdrawn(Ground.KEYWORD, BOTH)));
    assertThat(Agreement.at(history, DOCK, NOW).service().answer()).isEqualTo(AGREED);
    assertThat(Agreement.at(history, YARD, NOW).service().answer()).isEqualTo(OPTED_OUT);
  }

  @Test
  void anAgreementEndsAtItsTimeAndAnOptOutDoesNot() {
    Optional<Instant> past = Optional.of(NOW);
    Optional<Instant> ahead = Optional.of(NOW.plus(Duration.ofSeconds(1)));
    OptionalLong all = OptionalLong.empty();
    assertThat(service(new AgreementChange(NOW, true, BOTH, Ground.FORM, all, ahead)))
        .isEqualTo(AGREED);
    assertThat(service(new AgreementChange(NOW, true, BOTH, Ground.FORM, all, past)))
        .isEqualTo(NOT_SAID);
    assertThat(service(new AgreementChange(NOW, false, BOTH, Ground.FORM, all, past)))
        .isEqualTo(OPTED_OUT);
  }
}
