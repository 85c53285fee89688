package fabulum.core;

/**
 * How many random cases a law is tried with: all of them usually, a share where each test runs
 * thousands of times ({@code -Dlaws.percent}).
 */
public final class Rounds {
  private static final int PERCENT = Integer.getInteger("laws.percent", 100);

  private Rounds() {}

  public static int of(int usual) {
    return Math.max(1, usual * PERCENT / 100);
  }
}
