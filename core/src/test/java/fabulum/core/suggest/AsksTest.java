package fabulum.core.suggest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class AsksTest {
  private static final float[] EAST = {1, 0};
  private static final float[] NORTH = {0, 1};
  private static final float[] WEST = {-1, 0};

  @Test
  void anAskIsAsNearAsItsTwoNearestWordings() {
    Asks asks = new Asks(List.of(List.of(EAST, NORTH, WEST), List.of(WEST, WEST)));
    assertThat(asks.nearness(EAST)).containsExactly(0.5f, -1);
    assertThat(asks.nearness(NORTH)).containsExactly(0.5f, 0);
    assertThat(asks.from(new float[] {2, 0}).nearness(WEST)[1])
        .as("seen from the far east all lie west")
        .isEqualTo(1);
  }

  @Test
  void twoAreAboutTheSameAsFarAsTheSameAskStandsOut() {
    float[] one = Asks.standing(new float[] {0.9f, 0.1f, 0.1f});
    float[] other = Asks.standing(new float[] {0.1f, 0.9f, 0.1f});
    float[] both = Asks.standing(new float[] {0.9f, 0.9f, 0.1f});
    assertThat(Asks.alike(one, one)).isCloseTo(1, within(1e-9));
    assertThat(Asks.alike(one, other)).isLessThan(0.01).isEqualTo(Asks.alike(other, one));
    assertThat(Asks.alike(one, both)).isBetween(0.6, 0.8);
    Asks.raise(one, other);
    assertThat(one).containsExactly(both);
  }

  @Test
  void twoAreAsNearAsBothAreToTheAskTheyAreNearestTo() {
    float[] one = Asks.standing(new float[] {0.9f, 0.1f, 0.5f});
    float[] other = Asks.standing(new float[] {-0.3f, 0.2f, 0.6f});
    assertThat(Asks.nearest(one, other)).isCloseTo(0.55, within(1e-6));
    assertThat(Asks.nearest(Asks.standing(new float[] {-0.4f}), Asks.standing(new float[] {-0.2f})))
        .as("far from the only one")
        .isCloseTo(-0.3, within(1e-6));
    assertThat(Asks.nearest(new float[0], new float[0])).isZero();
  }

  @Test
  void noWordingStandsTwiceAndEachAskHasSeveral() {
    List<String> all =
        CommonAsks.ALL.stream().flatMap(ask -> ask.wordings().stream()).map(String::strip).toList();
    assertThat(all).hasSizeGreaterThan(1_800).doesNotHaveDuplicates();
    assertThat(all).allMatch(wording -> wording.length() > 3 && !wording.contains("\n"));
    assertThat(CommonAsks.ALL).allMatch(ask -> ask.wordings().size() >= 3);
  }
}
