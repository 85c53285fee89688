package fabulum.core.notice;

import fabulum.core.attendance.Covering;
import fabulum.core.attendance.Covering.End;
import fabulum.core.attendance.Covering.Found;
import fabulum.core.attendance.Presence;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.function.LongFunction;
import java.util.function.LongPredicate;

/** Who is told in the end: those who are meant, and the covers of those who are away. */
public final class Receivers {
  private Receivers() {}

  /**
   * Works it out; everybody once, in the order in which they are meant.
   *
   * @param meant who should be told
   * @param sees whether someone sees the conversation; who does not is never told of it
   * @return empty when all of them are away without a cover
   */
  public static Set<Long> of(
      Collection<Long> meant, LongFunction<Presence> presence, LongPredicate sees) {
    Set<Long> told = new LinkedHashSet<>();
    for (long who : meant) {
      Found found = Covering.follow(who, presence, sees);
      if (found.end() == End.SOMEBODY && sees.test(found.who())) {
        told.add(found.who());
      }
    }
    return told;
  }
}
