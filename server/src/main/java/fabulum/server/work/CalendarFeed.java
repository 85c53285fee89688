package fabulum.server.work;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

final class CalendarFeed {
  private static final Pattern OWN = Pattern.compile("appointment-(\\d{1,18})@fabulum");

  private CalendarFeed() {}

  static Optional<Long> ownId(String uid) {
    Matcher own = OWN.matcher(uid);
    return own.matches() ? Optional.of(Long.valueOf(own.group(1))) : Optional.empty();
  }
}
