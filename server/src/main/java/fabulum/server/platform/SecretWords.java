package fabulum.server.platform;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;

/**
 * Secrets that are made by us, shown once and kept as a hash. They are random and long, so a plain
 * SHA-256 (FIPS 180-4) is enough: there is nothing to guess them from.
 */
public final class SecretWords {
  /** 192 random bits: 32 characters. */
  private static final int OCTETS = 24;

  private static final SecureRandom RANDOM = new SecureRandom();

  private SecretWords() {}

  /** A new secret of 32 characters that may stand in a web address. */
  public static String make() {
    byte[] octets = new byte[OCTETS];
    RANDOM.nextBytes(octets);
    return Base64.getUrlEncoder().withoutPadding().encodeToString(octets);
  }

  /** What is kept of a secret: 64 hexadecimal digits. */
  public static String hash(String secret) {
    try {
      return HexFormat.of()
          .formatHex(
              MessageDigest.getInstance("SHA-256").digest(secret.getBytes(StandardCharsets.UTF_8)));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("Every Java has SHA-256", e);
    }
  }
}
