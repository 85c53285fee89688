package fabulum.server.sending;

import fabulum.core.agreement.TextKind;
import fabulum.core.sending.SendPolicy;
import fabulum.core.text.Language;
import java.util.Set;

/**
 * What a lead has set about texts that go out.
 *
 * @param business the name under which customers know us; empty for the line's
 * @param contact how else customers reach us, for example {@code call (920) 555-0101}; empty for
 *     calling the line
 * @param languages those besides English whose keywords count
 * @param serviceWords under answers and service texts
 * @param newsWords under news and offers
 * @param stopEverywhere whether STOP holds for the whole business, or for the line it was sent to
 */
public record SendSettings(
    String business,
    String contact,
    Set<Language> languages,
    boolean stopEverywhere,
    Appended serviceWords,
    Appended newsWords,
    SendPolicy policy,
    long version) {
  public SendSettings {
    languages = Set.copyOf(languages);
  }

  /**
   * Words that must stand under texts of a kind.
   *
   * @param words empty for none
   * @param days the number of days after which a number gets the words again; 0 for below every
   *     text
   */
  public record Appended(String words, int days) {}

  /** The words that must stand under texts of a kind. */
  public Appended appended(TextKind kind) {
    return switch (kind) {
      case SERVICE -> serviceWords;
      case NEWS -> newsWords;
    };
  }
}
