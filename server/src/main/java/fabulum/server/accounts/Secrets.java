package fabulum.server.accounts;

import fabulum.server.accounts.store.SecretMapper;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;

/** Keys that this installation made for itself and nobody else knows. */
@Service
public class Secrets {
  private static final String ALGORITHM = "HmacSHA256";
  private static final int OCTETS = 32;

  private final SecretMapper secrets;
  private final SecureRandom random = new SecureRandom();
  private final Map<String, byte[]> keys = new ConcurrentHashMap<>();

  Secrets(SecretMapper secrets) {
    this.secrets = secrets;
  }

  /**
   * A one-way fingerprint (HMAC-SHA256, RFC 2104): only with the key can it be tried which words it
   * is of.
   *
   * @param name of the key
   * @return 64 hexadecimal digits
   */
  public String fingerprint(String name, String words) {
    try {
      Mac mac = Mac.getInstance(ALGORITHM);
      mac.init(new SecretKeySpec(key(name), ALGORITHM));
      return HexFormat.of().formatHex(mac.doFinal(words.getBytes(StandardCharsets.UTF_8)));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("Every Java has " + ALGORITHM, e);
    }
  }

  byte[] key(String name) {
    return keys.computeIfAbsent(
        name, any -> Base64.getUrlDecoder().decode(secrets.find(name).orElseGet(() -> make(name))));
  }

  /** Made at the first use; of two that make it at once the first one's stays. */
  private String make(String name) {
    byte[] octets = new byte[OCTETS];
    random.nextBytes(octets);
    try {
      secrets.insert(name, Base64.getUrlEncoder().withoutPadding().encodeToString(octets));
    } catch (DuplicateKeyException madeMeanwhile) {
      // Read below.
    }
    return secrets.find(name).orElseThrow();
  }
}
