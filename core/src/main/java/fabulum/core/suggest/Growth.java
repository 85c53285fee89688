package fabulum.core.suggest;

/** When something that grows is to be computed anew. */
final class Growth {
  private Growth() {}

  /** Whether it has grown by a factor since the last time, as it is now one larger than before. */
  static boolean isDue(int size, double factor) {
    return size == 1 || step(size, factor) > step(size - 1, factor);
  }

  private static long step(int size, double factor) {
    return (long) Math.floor(Math.log(size) / Math.log(factor));
  }
}
