package fabulum.core.attachment;

/**
 * How a picture has to be turned to stand upright.
 *
 * @param mirrored left and right are exchanged, before it is turned
 * @param quarters turned clockwise, 0 to 3
 */
public record Turn(boolean mirrored, int quarters) {
  /** It stands upright. */
  public static final Turn NONE = new Turn(false, 0);

  /**
   * What a camera noted.
   *
   * @param orientation 1 to 8 (Exif 2.32, 4.6.4, tag 274); anything else is taken for upright
   */
  public static Turn ofExif(int orientation) {
    return switch (orientation) {
      case 2 -> new Turn(true, 0);
      case 3 -> new Turn(false, 2);
      case 4 -> new Turn(true, 2);
      case 5 -> new Turn(true, 3);
      case 6 -> new Turn(false, 1);
      case 7 -> new Turn(true, 1);
      case 8 -> new Turn(false, 3);
      default -> NONE;
    };
  }

  /** Whether width and height are exchanged by it. */
  public boolean isSideways() {
    return quarters % 2 == 1;
  }
}
