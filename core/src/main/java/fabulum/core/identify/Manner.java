package fabulum.core.identify;

import java.util.Arrays;
import java.util.Base64;

/**
 * How a text reads: as people write whom we do not know, who ask, offer or mean someone else; or as
 * people write who know us, who answer, complain or go on with something. A logistic regression
 * over the point of meaning.
 */
final class Manner {
  /** As fitted to the tuning part of the labelled set; docs/identify.md says how. */
  private static final String FITTED =
      """
      NNJLAfUkNQUW/gzlAvvf/9jcCOwwLKTjGSLW5vlH8+IIKAMUJ9kS+yL1CBXSEhfu6AkhBdgU3hMlB+AT
      /AwJHqgKEiHN6An0uzf/3gv0QeMC2Lnc7PfpHw/zECvW1A7yDufn1f369RjbCdXuDhAGDxXj9eIKLVbW
      1j39+xeo8QkRFx72+/X1+xkS8jc+HDXvD+MY8tPb1+Cy9h7/aLMEDg7t9xPGge/r8gb48+1AAR0IDP8o
      6jYm/wTv6yfv9v2V39UkOzn7QCQRGxTm5SkQ8hYg0yoL7wjt7RbJARn+Bu8P9zkWNvUC2RIf4hYu3Bcq
      9NbUC9AM1FIdDPAU+xTU9ALN7uPY2fOuCd4ZKugXKusk7csSCdzL28sCJwYOIyQr8QDZMsnq9Aoa5Oj+
      7uX1BbkPCTIW4vsW6xYPGPrn6iYuL/z4IOwP+AEP5v4cLucrCQ3qI/o2EC4jzSMV7OcCFOX4/+AfBh0F
      1hYtFw4dwP3r5+Xx+QbYB+30GsE4EmDh
      """;

  private static final double SCALE = 0.022238;
  private static final double BIAS = 0.5624;

  /** More sure than this it never is, in natural logarithms of the odds. */
  private static final double MOST = 3;

  private final byte[] weights;
  private final double scale;
  private final double bias;

  /**
   * Weights of one byte each.
   *
   * @param scale what a weight of 1 stands for
   * @param bias the log odds without any evidence
   */
  Manner(byte[] weights, double scale, double bias) {
    this.weights = Arrays.copyOf(weights, weights.length);
    this.scale = scale;
    this.bias = bias;
  }

  /** The one that ships. */
  static Manner fitted() {
    return new Manner(Base64.getDecoder().decode(FITTED.replaceAll("\\s", "")), SCALE, BIAS);
  }

  /**
   * How strange a text reads.
   *
   * @param point where it lies; one of a model that has another number of dimensions says nothing
   * @return -1 for someone who knows us to 1 for a stranger
   */
  double of(float[] point) {
    if (point.length != weights.length) {
      return 0;
    }
    double sum = bias;
    for (int i = 0; i < point.length; i++) {
      sum += scale * weights[i] * point[i];
    }
    return Math.max(-MOST, Math.min(MOST, sum)) / MOST;
  }
}
