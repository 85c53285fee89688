package fabulum.core.enquiry;

import java.util.List;

/** Which ink can be read on a colour, by the contrast of WCAG 2.2. */
public final class Ink {
  private static final String PAPER = "#ffffff";
  private static final String DARK = "#20262b";
  private static final double[] WEIGHTS = {0.2126, 0.7152, 0.0722};

  private Ink() {}

  /**
   * White or nearly black, whichever stands out more.
   *
   * @param colour a number sign and six hexadecimal digits
   */
  public static String on(String colour) {
    return contrast(colour, PAPER) >= contrast(colour, DARK) ? PAPER : DARK;
  }

  /** The contrast ratio of two colours, 1 to 21. */
  public static double contrast(String one, String other) {
    double a = luminance(one);
    double b = luminance(other);
    return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
  }

  private static double luminance(String colour) {
    double sum = 0;
    for (int i : List.of(0, 1, 2)) {
      double part = Integer.parseInt(colour.substring(1 + 2 * i, 3 + 2 * i), 16) / 255.0;
      sum += WEIGHTS[i] * (part <= 0.04045 ? part / 12.92 : Math.pow((part + 0.055) / 1.055, 2.4));
    }
    return sum;
  }
}
