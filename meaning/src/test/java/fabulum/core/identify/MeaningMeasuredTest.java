package fabulum.core.identify;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** With the real model: what docs/identify.md reports; a little is left to rounding. */
class MeaningMeasuredTest {
  private final Optional<Sense> sense = Remembered.model().map(Sense::of);

  private Measured measured(List<String> sets) {
    Measured measured = new Measured();
    for (String name : sets) {
      LabelledSet set = LabelledSet.read(name);
      measured.add(
          set, set.directory(), Measured.byId(set.customers()), Weights.fitted(true), sense);
    }
    return measured;
  }

  @Test
  void theHeldBackPartIsAnsweredAsReported() {
    Measured held = measured(Fit.HELD_BACK);
    assertThat(held.top1()).as("%s", held).isGreaterThan(0.89);
    assertThat(held.top3()).isGreaterThan(0.975);
    assertThat(held.wrongAndSure()).isLessThanOrEqualTo(0.01);
    assertThat(held.unknownRight()).isGreaterThan(0.93);
  }

  @Test
  void soAreTheWorldsThatWereWrittenLast() {
    Measured fresh = measured(Fit.FRESH);
    assertThat(fresh.top1()).as("%s", fresh).isGreaterThan(0.9);
    assertThat(fresh.wrongAndSure()).isLessThanOrEqualTo(0.01);
    assertThat(fresh.unknownRight()).isGreaterThan(0.95);
  }
}
