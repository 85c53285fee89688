package fabulum.core.meaning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fabulum.core.meaning.PackedMeaning.Comparison;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class PackedMeaningTest {
  private static final int LENGTH = 384;
  private final Random random = new Random(4711);

  /** Points that have a direction in common, as those of a model have. */
  private float[] point() {
    float[] point = new float[LENGTH];
    for (int i = 0; i < LENGTH; i++) {
      point[i] = (float) random.nextGaussian() + (i % 3 == 0 ? 1.5f : 0);
    }
    return point;
  }

  private static double[] from(float[] point, double[] middle) {
    double length = 0;
    for (float one : point) {
      length += one * one;
    }
    double[] moved = new double[LENGTH];
    for (int i = 0; i < LENGTH; i++) {
      moved[i] = point[i] / Math.sqrt(length) - middle[i];
    }
    return moved;
  }

  private static double cosine(double[] one, double[] other) {
    double both = 0;
    double first = 0;
    double second = 0;
    for (int i = 0; i < LENGTH; i++) {
      both += one[i] * other[i];
      first += one[i] * one[i];
      second += other[i] * other[i];
    }
    return both / Math.sqrt(first * second);
  }

  /** Four numbers are taken at a time; what is left over counts as well. */
  @Test
  void likenessCountsEveryNumberOfAPoint() {
    for (int length = 0; length < 12; length++) {
      float[] one = new float[length];
      float[] other = new float[length];
      float sum = 0;
      for (int i = 0; i < length; i++) {
        one[i] = i + 1;
        other[i] = 2 * i - 5;
        sum += one[i] * other[i];
      }
      assertThat(Points.likeness(one, other)).as("%s numbers", length).isEqualTo(sum);
    }
  }

  @Test
  void packedPointsAreAsAlikeAsTheyAreUnpackedFromTheMiddle() {
    List<float[]> points = new ArrayList<>();
    for (int i = 0; i < 200; i++) {
      points.add(point());
    }
    double[] middle = new double[LENGTH];
    for (float[] point : points) {
      double[] unit = from(point, new double[LENGTH]);
      for (int i = 0; i < LENGTH; i++) {
        middle[i] += unit[i] / points.size();
      }
    }
    float[] wanted = point();
    Comparison comparison =
        new Comparison(wanted, points.stream().map(PackedMeaning::pack).toList());
    for (float[] point : points) {
      byte[] among = new byte[LENGTH + 7];
      System.arraycopy(PackedMeaning.pack(point), 0, among, 7, LENGTH);
      assertThat(comparison.likeness(among, 7))
          .isCloseTo(cosine(from(wanted, middle), from(point, middle)), within(0.01));
    }
  }

  @Test
  void theSameIsAlikeAndNothingIsNot() {
    float[] one = point();
    Comparison comparison = new Comparison(one, List.of());
    assertThat(comparison.likeness(PackedMeaning.pack(one), 0)).isCloseTo(1, within(0.001));
    assertThat(comparison.likeness(PackedMeaning.pack(new float[LENGTH]), 0)).isZero();
  }

  @Test
  void whatIsFarBehindTheBestIsNotNear() {
    assertThat(PackedMeaning.isNear(0.5, null)).isTrue();
    assertThat(PackedMeaning.isNear(0.5, 0.7)).isTrue();
    assertThat(PackedMeaning.isNear(0.4, 0.7)).isFalse();
    assertThat(PackedMeaning.isNear(0.1, null)).isFalse();
  }
}
