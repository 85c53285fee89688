package fabulum.core.identify;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class MannerTest {
  private static final float[] TOWARDS = {1, 0};
  private static final float[] AWAY = {-1, 0};

  @Test
  void oneDirectionReadsStrangeTheOtherFamiliarAndNeitherBeyondMeasure() {
    Manner little = new Manner(new byte[] {100, 0}, 0.01, 0.5);
    assertThat(little.of(TOWARDS)).isCloseTo(0.5, within(1e-6));
    assertThat(little.of(AWAY)).isCloseTo(-0.5 / 3, within(1e-6));
    Manner much = new Manner(new byte[] {100, 0}, 1, 0);
    assertThat(much.of(TOWARDS)).isEqualTo(1);
    assertThat(much.of(AWAY)).isEqualTo(-1);
  }

  @Test
  void aPointOfAnotherModelSaysNothing() {
    assertThat(Manner.fitted().of(TOWARDS)).isZero();
  }
}
