package fabulum.server.live;

import fabulum.core.access.Sight;
import fabulum.core.access.Spot;
import fabulum.server.access.StaffId;
import fabulum.server.lines.LineId;

/** Who is told a message. */
interface Audience {
  /** Whether someone is, who sees so much now. */
  boolean has(Sight sight);

  /** Everybody. */
  static Audience everybody() {
    return sight -> true;
  }

  /** One person. */
  static Audience only(StaffId who) {
    return sight -> sight.who() == who.value();
  }

  /** Those who see what stands there. */
  static Audience seeing(Spot spot) {
    return sight -> sight.sees(spot);
  }

  /** Those who see a line. */
  static Audience seeingLine(LineId line) {
    return sight -> sight.seesLine(line.value());
  }

  /** Those who saw it where it stood before and do not where it stands now. */
  static Audience losing(Spot before, Spot now) {
    return sight -> sight.sees(before) && !sight.sees(now);
  }
}
