package fabulum.server.messaging;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.HexFormat;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/**
 * HMAC-SHA256 (RFC 2104, FIPS 180-4) over the timestamp, a full stop, and the body; in lower-case
 * hexadecimal.
 */
final class Signature {
  private static final String ALGORITHM = "HmacSHA256";

  private Signature() {}

  static boolean fits(String secret, String timestamp, byte[] body, String signature) {
    byte[] expected = of(secret, timestamp, body).getBytes(StandardCharsets.US_ASCII);
    return !secret.isEmpty()
        && MessageDigest.isEqual(expected, signature.getBytes(StandardCharsets.UTF_8));
  }

  static String of(String secret, String timestamp, byte[] body) {
    if (secret.isEmpty()) {
      return "";
    }
    try {
      Mac mac = Mac.getInstance(ALGORITHM);
      mac.init(new SecretKeySpec(secret.getBytes(StandardCharsets.UTF_8), ALGORITHM));
      mac.update((timestamp + ".").getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(mac.doFinal(body));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("Every Java has " + ALGORITHM, e);
    }
  }
}
