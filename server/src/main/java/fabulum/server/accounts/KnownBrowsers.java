package fabulum.server.accounts;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.Optional;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.stereotype.Service;

/**
 * Tells browsers that have signed in here before from strangers: they carry a name that only this
 * installation can have signed (HMAC-SHA256, RFC 2104). It lets nobody in; it only keeps strangers
 * who guess passwords from slowing down those who work here.
 */
@Service
public class KnownBrowsers {
  private static final String ALGORITHM = "HmacSHA256";
  private static final String SECRET = "browsers";
  private static final int OCTETS = 32;

  private final Secrets secrets;
  private final SecureRandom random = new SecureRandom();

  KnownBrowsers(Secrets secrets) {
    this.secrets = secrets;
  }

  /** A name for a browser, signed. */
  public String issue() {
    byte[] octets = new byte[OCTETS];
    random.nextBytes(octets);
    String name = encoded(octets);
    return name + "." + signature(name);
  }

  /** The name of a browser, where the signature fits. */
  public Optional<String> read(String signed) {
    int seam = signed.indexOf('.');
    if (seam < 1 || signed.length() > 4 * OCTETS) {
      return Optional.empty();
    }
    String name = signed.substring(0, seam);
    byte[] given = signed.substring(seam + 1).getBytes(StandardCharsets.UTF_8);
    return MessageDigest.isEqual(given, signature(name).getBytes(StandardCharsets.UTF_8))
        ? Optional.of(name)
        : Optional.empty();
  }

  private String signature(String name) {
    try {
      Mac mac = Mac.getInstance(ALGORITHM);
      mac.init(new SecretKeySpec(secrets.key(SECRET), ALGORITHM));
      return encoded(mac.doFinal(name.getBytes(StandardCharsets.UTF_8)));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("Every Java has " + ALGORITHM, e);
    }
  }

  private static String encoded(byte[] octets) {
    return Base64.getUrlEncoder().withoutPadding().encodeToString(octets);
  }
}
