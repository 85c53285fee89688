package fabulum.core.meaning;

import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A point of meaning, one byte a number, so that hundreds of thousands fit on a disk and are gone
 * through in a moment. Its direction is off by less than a degree.
 */
public final class PackedMeaning {
  private static final int MOST = 127;

  /** What is less alike has only the language in common. */
  private static final double LEAST = 0.15;

  private static final double FROM_BEST = 0.25;

  private PackedMeaning() {}

  /** Packs a point; the largest number becomes 127. */
  public static byte[] pack(float[] point) {
    float largest = 0;
    for (float one : point) {
      largest = Math.max(largest, Math.abs(one));
    }
    byte[] packed = new byte[point.length];
    for (int i = 0; i < packed.length && largest > 0; i++) {
      packed[i] = (byte) Math.round(point[i] / largest * MOST);
    }
    return packed;
  }

  /** The point again; of its length only the direction is left. */
  public static float[] unpack(byte[] packed) {
    float[] point = new float[packed.length];
    for (int i = 0; i < point.length; i++) {
      point[i] = packed[i];
    }
    return point;
  }

  /**
   * Compares many packed points with one, seen from the middle of all that is said: so what all
   * texts of a business have in common does not make them alike.
   */
  public static final class Comparison {
    private final float[] wanted;
    private final float[] middle;
    private final double offset;
    private final double square;

    /**
     * Begins.
     *
     * @param some of the points that will be compared, to find their middle; none for comparing as
     *     seen from nowhere
     */
    public Comparison(float[] wanted, List<byte[]> some) {
      this.middle = new float[wanted.length];
      for (byte[] one : some) {
        float length = (float) Math.sqrt(square(one));
        for (int i = 0; i < middle.length && length > 0; i++) {
          middle[i] += one[i] / length / some.size();
        }
      }
      this.wanted = Arrays.copyOf(wanted, wanted.length);
      scale(this.wanted, 1 / length(this.wanted));
      for (int i = 0; i < middle.length; i++) {
        this.wanted[i] -= middle[i];
      }
      scale(this.wanted, 1 / length(this.wanted));
      double sum = 0;
      double squares = 0;
      for (int i = 0; i < middle.length; i++) {
        sum += this.wanted[i] * middle[i];
        squares += middle[i] * middle[i];
      }
      this.offset = sum;
      this.square = squares;
    }

    /**
     * How alike a point is to the one that is wanted.
     *
     * @param bytes where it lies packed
     * @param from its first byte there
     * @return -1 to 1, 1 for the same direction
     */
    public double likeness(byte[] bytes, int from) {
      float towards = 0;
      float common = 0;
      int own = 0;
      for (int i = 0; i < wanted.length; i++) {
        int one = bytes[from + i];
        towards += wanted[i] * one;
        common += middle[i] * one;
        own += one * one;
      }
      double length = Math.sqrt(own);
      double away = 1 - 2 * common / length + square;
      return length == 0 || away <= 0 ? 0 : (towards / length - offset) / Math.sqrt(away);
    }

    private static int square(byte[] point) {
      int sum = 0;
      for (byte one : point) {
        sum += one * one;
      }
      return sum;
    }

    private static float length(float[] point) {
      double sum = 0;
      for (float one : point) {
        sum += one * one;
      }
      return (float) Math.sqrt(sum);
    }

    private static void scale(float[] point, float by) {
      for (int i = 0; i < point.length && Float.isFinite(by); i++) {
        point[i] *= by;
      }
    }
  }

  /**
   * Whether something is as alike as to be shown beside the most alike.
   *
   * @param best the likeness of the most alike; null when this is it
   */
  public static boolean isNear(double likeness, @Nullable Double best) {
    return likeness >= LEAST && (best == null || likeness >= best - FROM_BEST);
  }
}
