package fabulum.server.sending;

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
 * @param stopEverywhere whether STOP holds for the whole business, or for the line it was sent to
 */
public record SendSettings(
    String business,
    String contact,
    Set<Language> languages,
    boolean stopEverywhere,
    SendPolicy policy,
    long version) {
  public SendSettings {
    languages = Set.copyOf(languages);
  }
}
