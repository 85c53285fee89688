package fabulum.core.identify;

import fabulum.core.reading.CommonWords;
import fabulum.core.reading.Likeness;
import fabulum.core.reading.Word;
import fabulum.core.reading.Wording;
import fabulum.core.text.Tokens;
import java.util.ArrayList;
import java.util.List;

/** Whether something is on file of a customer at all. */
final class OnFile {
  private OnFile() {}

  /** Whether a word stands anywhere in what is on file. */
  static boolean has(Profile profile, String plain) {
    if (CommonWords.contains(plain)) {
      return false;
    }
    List<String> all = new ArrayList<>(profile.contacts());
    all.add(profile.name());
    profile.site().ifPresent(all::add);
    profile.details().forEach(detail -> all.add(detail.value()));
    all.addAll(profile.notes());
    profile.email().ifPresent(all::add);
    for (String each : all) {
      for (Word word : Wording.words(each)) {
        if (word.plain().equals(plain)
            || plain.length() > 4 && Likeness.of(plain, word.plain()) >= 0.6) {
          return true;
        }
      }
      if (plain.length() > 4 && String.join("", Tokens.of(each)).contains(plain)) {
        return true;
      }
    }
    return false;
  }
}
