package fabulum.server.accounts;

import fabulum.core.access.PasswordRules;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import me.gosimple.nbvcxz.resources.ConfigurationBuilder;
import me.gosimple.nbvcxz.resources.Dictionary;
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
    static final List<Map<String, Integer>> LISTS =
        ConfigurationBuilder.getDefaultDictionaries().stream()
            .filter(list -> list.getDictionaryName().equals("passwords"))
            .map(Dictionary::getDictonary)
            .toList();

    static boolean contains(String wanted) {
      String lower = wanted.toLowerCase(Locale.ROOT);
      String bare = lower.replaceAll("[^\\p{L}]+$", "");
      return LISTS.stream()
          .anyMatch(
              list -> list.containsKey(lower) || (bare.length() >= 6 && list.containsKey(bare)));
    }
  }

  /** What speaks against a password, as sentences. */
  public List<String> objections(String wanted, String signInName) {
    List<String> objections = new ArrayList<>(PasswordRules.objections(wanted, signInName));
    if (objections.isEmpty() && Common.contains(wanted)) {
      objections.add("This is among the passwords that are tried first. Choose another.");
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
