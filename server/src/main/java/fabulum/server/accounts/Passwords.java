package fabulum.server.accounts;

import fabulum.core.access.PasswordRules;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * Passwords: how they are kept, and which will do. By NIST SP 800-63B: length and a list of common
 * ones, no rules of composition, no forced change.
 */
@Component
public class Passwords {
  private final PasswordEncoder encoder;
  private final String nobodysHash;

  Passwords(PasswordEncoder encoder) {
    this.encoder = encoder;
    this.nobodysHash = encoder.encode("nobody has this password");
  }

  /** The list is read when the first password is chosen; hardly anyone ever waits for it. */
  private static final class Common {
    private static final int SHORTEST = 6;
    private static final Set<String> WORDS = read();

    private static Set<String> read() {
      InputStream list =
          Objects.requireNonNull(Passwords.class.getResourceAsStream("common-passwords.txt"));
      try (BufferedReader lines =
          new BufferedReader(new InputStreamReader(list, StandardCharsets.UTF_8))) {
        return lines.lines().skip(1).collect(Collectors.toUnmodifiableSet());
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }

    static boolean contains(String wanted) {
      String lower = wanted.toLowerCase(Locale.ROOT);
      String bare = lower.replaceAll("[^\\p{L}]+$", "");
      return WORDS.contains(lower) || (bare.length() >= SHORTEST && WORDS.contains(bare));
    }
  }

  /** What speaks against a password, as sentences. */
  public List<String> objections(String wanted, String signInName) {
    List<String> objections = new ArrayList<>(PasswordRules.objections(wanted, signInName));
    if (objections.isEmpty() && Common.contains(wanted)) {
      objections.add("This password is too common. Choose another.");
    }
    return objections;
  }

  public String encode(String password) {
    return encoder.encode(password);
  }

  /** A hash is compared also when there is none, so that the time taken does not tell. */
  public boolean fits(String password, String hash) {
    boolean isOne = !hash.isEmpty();
    return encoder.matches(password, isOne ? hash : nobodysHash) && isOne;
  }
}
