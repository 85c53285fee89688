package fabulum.core.access;

import java.util.Optional;
import java.util.Set;

/**
 * Which conversations someone sees: those on their teams' lines, and those handed to their teams;
 * on a line that is narrowed only what nobody owns or is their own.
 *
 * @param who it is
 * @param lines they see; empty for all
 * @param narrowed lines on which they do not see what is a colleague's
 * @param teams they are in
 * @param guestOf conversations into which they were brought, wherever those are
 */
public record Sight(
    long who, Optional<Set<Long>> lines, Set<Long> narrowed, Set<Long> teams, Set<Long> guestOf) {

  public Sight {
    lines = lines.map(Set::copyOf);
    narrowed = Set.copyOf(narrowed);
    teams = Set.copyOf(teams);
    guestOf = Set.copyOf(guestOf);
  }

  /** Who was brought into no conversation. */
  public Sight(long who, Optional<Set<Long>> lines, Set<Long> narrowed, Set<Long> teams) {
    this(who, lines, narrowed, teams, Set.of());
  }

  /** Who sees everything; for what the program does by itself. */
  public static Sight everything(long who) {
    return new Sight(who, Optional.empty(), Set.of(), Set.of());
  }

  /** Who sees nothing. */
  public static Sight nothing(long who) {
    return new Sight(who, Optional.of(Set.of()), Set.of(), Set.of());
  }

  /** Whether nothing is hidden. */
  public boolean isEverything() {
    return lines.isEmpty() && narrowed.isEmpty();
  }

  /** Whether they see a line at all. */
  public boolean seesLine(long line) {
    return lines.isEmpty() || lines.get().contains(line);
  }

  /** Whether they see a conversation that is there. */
  public boolean sees(Spot spot) {
    return guestOf.contains(spot.conversation()) || isTheirs(spot);
  }

  /** Whether they see it because of where it is, and not only because they were brought in. */
  public boolean isTheirs(Spot spot) {
    boolean within =
        seesLine(spot.line())
            || (spot.team().isPresent() && teams.contains(spot.team().getAsLong()));
    boolean hidden =
        narrowed.contains(spot.line())
            && spot.owner().isPresent()
            && spot.owner().getAsLong() != who;
    return within && !hidden;
  }
}
