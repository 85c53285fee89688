package fabulum.core.identify;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.identify.WhoWrote.Holding;
import fabulum.core.identify.WhoWrote.Said;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;

class WhoWroteTest {
  private static final Instant MARCH = Instant.parse("2026-03-01T00:00:00Z");
  private static final Instant MAY = Instant.parse("2026-05-01T00:00:00Z");
  private static final Instant JULY = Instant.parse("2026-07-01T00:00:00Z");
  private static final long HERE = 7;
  private static final long TEXT = 70;

  private static Holding always(long customer) {
    return new Holding(customer, Optional.empty(), Optional.empty(), Optional.empty());
  }

  private static Said of(
      long customer, OptionalLong entry, OptionalLong conversation, Optional<Instant> from) {
    return new Said(customer, entry, conversation, from);
  }

  @Test
  void theOnlyHolderAtTheTimeWroteIt() {
    WhoWrote who =
        new WhoWrote(
            List.of(
                new Holding(1, Optional.empty(), Optional.empty(), Optional.of(MAY)),
                new Holding(2, Optional.of(MAY), Optional.empty(), Optional.empty())),
            List.of());
    assertThat(who.of(HERE, TEXT, MAY.minusMillis(1))).hasValue(1);
    assertThat(who.of(HERE, TEXT, MAY)).hasValue(2);
    assertThat(new WhoWrote(List.of(), List.of()).of(HERE, TEXT, MAY)).isEmpty();
  }

  @Test
  void ofTwoHoldersNobodyWroteUntilAPersonSays() {
    List<Holding> both = List.of(always(1), always(2));
    assertThat(new WhoWrote(both, List.of()).of(HERE, TEXT, MAY)).isEmpty();
    WhoWrote text =
        new WhoWrote(
            both, List.of(of(1, OptionalLong.of(TEXT), OptionalLong.of(HERE), Optional.empty())));
    assertThat(text.of(HERE, TEXT, MAY)).hasValue(1);
    assertThat(text.of(HERE, TEXT + 1, MAY)).isEmpty();
    assertThat(text.of(HERE, MAY)).as("the conversation").isEmpty();
  }

  @Test
  void whatIsSaidOfAConversationHoldsThereFromThenOn() {
    WhoWrote who =
        new WhoWrote(
            List.of(always(1), always(2)),
            List.of(of(2, OptionalLong.empty(), OptionalLong.of(HERE), Optional.of(MAY))));
    assertThat(who.of(HERE, TEXT, MARCH)).isEmpty();
    assertThat(who.of(HERE, TEXT, MAY)).hasValue(2);
    assertThat(who.of(HERE, JULY)).hasValue(2);
    assertThat(who.of(HERE + 1, TEXT, JULY)).isEmpty();
  }

  @Test
  void theLastWordCountsAndOneTextBeforeAll() {
    WhoWrote who =
        new WhoWrote(
            List.of(always(1), always(2)),
            List.of(
                of(1, OptionalLong.of(TEXT), OptionalLong.of(HERE), Optional.empty()),
                of(1, OptionalLong.empty(), OptionalLong.empty(), Optional.empty()),
                of(2, OptionalLong.empty(), OptionalLong.empty(), Optional.empty())));
    assertThat(who.of(HERE, TEXT, MAY)).hasValue(1);
    assertThat(who.of(HERE, TEXT + 1, MAY)).hasValue(2);
  }

  @Test
  void whatIsSaidOfAllCountsOnlyWhileTheyHaveTheNumber() {
    WhoWrote who =
        new WhoWrote(
            List.of(
                new Holding(1, Optional.empty(), Optional.empty(), Optional.of(MAY)),
                always(2),
                always(3)),
            List.of(of(1, OptionalLong.empty(), OptionalLong.empty(), Optional.empty())));
    assertThat(who.of(HERE, TEXT, MARCH)).hasValue(1);
    assertThat(who.of(HERE, TEXT, JULY)).isEmpty();
  }

  @Test
  void oneWhoHasTheNumberAloneSinceMayWroteBeforeOnlyWhatNobodyElseDid() {
    Holding alone = new Holding(2, Optional.empty(), Optional.of(MAY), Optional.empty());
    WhoWrote afterAnother =
        new WhoWrote(
            List.of(new Holding(1, Optional.empty(), Optional.empty(), Optional.of(MAY)), alone),
            List.of());
    assertThat(afterAnother.of(HERE, TEXT, MARCH)).hasValue(1);
    assertThat(afterAnother.of(HERE, TEXT, MAY)).hasValue(2);
    assertThat(new WhoWrote(List.of(alone), List.of()).of(HERE, TEXT, MARCH)).hasValue(2);
  }
}
