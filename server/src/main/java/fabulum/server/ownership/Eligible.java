package fabulum.server.ownership;

import fabulum.core.access.Access;
import fabulum.core.access.Act;
import fabulum.core.access.Spot;
import fabulum.core.assignment.Candidate;
import fabulum.core.attendance.Presence;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.conversations.Conversation;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.lines.Sights;
import fabulum.server.ownership.store.OwnerCountRow;
import fabulum.server.ownership.store.OwnershipMapper;
import fabulum.server.ownership.store.TurnRow;
import fabulum.server.people.Attendances;
import fabulum.server.people.Limits;
import fabulum.server.people.TeamView;
import fabulum.server.people.Teams;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Who can own what, and who can be given something now. */
@Component
public class Eligible {
  private final OwnershipMapper owners;
  private final Lines lines;
  private final Sights sights;
  private final Permits permits;
  private final Teams teams;
  private final Attendances attendances;
  private final Limits limits;

  Eligible(
      OwnershipMapper owners,
      Lines lines,
      Sights sights,
      Permits permits,
      Teams teams,
      Attendances attendances,
      Limits limits) {
    this.owners = owners;
    this.lines = lines;
    this.sights = sights;
    this.permits = permits;
    this.teams = teams;
    this.attendances = attendances;
    this.limits = limits;
  }

  Presence presence(long who) {
    return attendances.presence(new StaffId(who));
  }

  /** Whether someone works here and would see it as its owner. */
  boolean mayOwn(long who, Conversation row) {
    StaffId id = new StaffId(who);
    Spot asTheirs = new Spot(row.lineId(), OptionalLong.of(who), row.spot().team());
    return permits.of(id).may(Act.WORK) && sights.of(id).sees(asTheirs);
  }

  /** Whether someone sees it as it is. */
  public boolean sees(long who, Conversation row) {
    return sights.of(new StaffId(who)).sees(row.spot());
  }

  /** The team in whose hands it is. */
  TeamView team(Conversation row) {
    Long handed = row.teamId();
    return teams.get(new TeamId(handed == null ? line(row).teamId() : handed));
  }

  LineView line(Conversation row) {
    return lines.get(new LineId(row.lineId()));
  }

  /** Everybody of the team who may answer on it, with what they have. */
  List<Candidate> candidates(Conversation row) {
    Map<Long, Integer> waiting =
        owners.listOurTurnByOwner().stream()
            .collect(Collectors.toMap(OwnerCountRow::ownerId, OwnerCountRow::waiting));
    Map<Long, Long> turns =
        owners.listTurns(row.lineId()).stream()
            .collect(Collectors.toMap(TurnRow::staffId, TurnRow::lastTurn));
    Map<Long, Integer> most = limits.all();
    return team(row).members().stream()
        .filter(who -> mayAnswer(who, row))
        .map(who ->
            new Candidate(
                who,
                presence(who).in(),
                waiting.getOrDefault(who, 0),
                most.containsKey(who)
                    ? OptionalInt.of(most.getOrDefault(who, 0))
                    : OptionalInt.empty(),
                turns.getOrDefault(who, 0L)))
        .toList();
  }

  private boolean mayAnswer(long who, Conversation row) {
    Access access = permits.of(new StaffId(who));
    return access.may(Act.TEXT) && mayOwn(who, row);
  }
}
