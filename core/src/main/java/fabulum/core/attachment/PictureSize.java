package fabulum.core.attachment;

import java.util.List;

/**
 * How large a picture is.
 *
 * @param width in pixels, 1 or more
 * @param height in pixels, 1 or more
 */
public record PictureSize(int width, int height) {
  /**
   * A picture with more pixels is not read: unpacked it would take more memory than a server has to
   * spare, as with one made on purpose. Large cameras of phones make 108 million.
   */
  public static final long MOST_PIXELS = 120_000_000;

  /**
   * The longer side of a picture as it is sent: what a phone's screen shows, with room to look
   * closer.
   */
  public static final int LONGEST_SIDE = 2_560;

  /** Pixels that are unpacked at most: they take some 72 MB. */
  public static final long MOST_READ = 24_000_000;

  /** The longer side of a picture as a script shows it, on a screen with two dots for one. */
  public static final int LONGEST_PREVIEW = 480;

  public PictureSize {
    if (width < 1 || height < 1) {
      throw new IllegalArgumentException("A picture has at least one pixel");
    }
  }

  /**
   * A way to make a picture smaller: the longer side in pixels, and the quality of its JPEG, 0 to
   * 1.
   */
  public record Reduction(int longestSide, float quality) {}

  /**
   * What is tried one after the other until a picture is small enough; the last is as small as it
   * gets.
   */
  public static List<Reduction> reductions() {
    return List.of(
        new Reduction(LONGEST_SIDE, 0.88f),
        new Reduction(LONGEST_SIDE, 0.78f),
        new Reduction(2_048, 0.8f),
        new Reduction(1_600, 0.78f),
        new Reduction(1_280, 0.75f),
        new Reduction(960, 0.7f),
        new Reduction(640, 0.65f));
  }

  /** Whether it is small enough to be read. */
  public boolean isReadable() {
    return pixels() <= MOST_PIXELS;
  }

  /** Millions of pixels, rounded. */
  public long megapixels() {
    return Math.round(pixels() / 1_000_000.0);
  }

  private long pixels() {
    return (long) width * height;
  }

  /** The same shape with a longer side of at most that many pixels; never larger than it is. */
  public PictureSize within(int longestSide) {
    int longest = Math.max(width, height);
    if (longest <= longestSide) {
      return this;
    }
    double by = (double) longestSide / longest;
    return new PictureSize(
        Math.max(1, (int) Math.round(width * by)), Math.max(1, (int) Math.round(height * by)));
  }

  /**
   * Every how many pixels one is read, so that a large picture never stands in memory whole: at
   * least twice of what is wanted, but no more than {@link #MOST_READ}.
   *
   * @param longestSide wanted
   */
  public int everyPixel(int longestSide) {
    int enough = Math.max(width, height) / (2 * longestSide);
    int mayBe = (int) Math.ceil(Math.sqrt((double) pixels() / MOST_READ));
    return Math.max(1, Math.max(enough, mayBe));
  }
}
