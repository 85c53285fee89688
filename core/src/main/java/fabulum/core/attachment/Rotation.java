package fabulum.core.attachment;

/**
 * How a picture has to be turned to stand upright.
 *
 * @param mirrored left and right are exchanged, before it is turned
 * @param quarters turned clockwise, 0 to 3
 */
public record Rotation(boolean mirrored, int quarters) {
  /** It stands upright. */
  public static final Rotation NONE = new Rotation(false, 0);

  /**
   * What a camera noted.
   *
   * @param orientation 1 to 8 (Exif 2.32, 4.6.4, tag 274); anything else is taken for upright
   */
  public static Rotation ofExif(int orientation) {
    return switch (orientation) {
      case 2 -> new Rotation(true, 0);
      case 3 -> new Rotation(false, 2);
      case 4 -> new Rotation(true, 2);
      case 5 -> new Rotation(true, 3);
      case 6 -> new Rotation(false, 1);
      case 7 -> new Rotation(true, 1);
      case 8 -> new Rotation(false, 3);
      default -> NONE;
    };
  }

  /** Whether width and height are exchanged by it. */
  public boolean isSideways() {
    return quarters % 2 == 1;
  }
}
