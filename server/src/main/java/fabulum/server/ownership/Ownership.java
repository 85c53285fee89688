package fabulum.server.ownership;

import fabulum.core.attendance.Presence;
import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.conversations.ActSteps;
import fabulum.server.conversations.ActSteps.Doing;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.UndoStep;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.people.TeamView;
import fabulum.server.people.Teams;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Whose a conversation is: taking it, handing it over, letting it go. */
@Service
public class Ownership {
  private static final int LONGEST_WHY = 400;

  private final Bookkeeping books;
  private final ActSteps steps;
  private final InSight inSight;
  private final Eligible eligible;
  private final People people;
  private final Teams teams;
  private final ApplicationEventPublisher events;

  Ownership(
      Bookkeeping books,
      ActSteps steps,
      InSight inSight,
      Eligible eligible,
      People people,
      Teams teams,
      ApplicationEventPublisher events) {
    this.books = books;
    this.steps = steps;
    this.inSight = inSight;
    this.eligible = eligible;
    this.people = people;
    this.teams = teams;
    this.events = events;
  }

  /**
   * Makes it the colleague's own.
   *
   * @param shown whose it was where they looked, 0 for nobody's; null when they take it no matter
   *     who has it. When another person has it by now, it is refused and says who.
   */
  @Transactional
  public Optional<UndoStep> take(ConversationId id, @Nullable Long shown, StaffId by) {
    Conversation row = inSight.lock(id, by);
    Long owner = row.ownerId();
    if (owner != null && owner == by.value()) {
      return Optional.empty();
    }
    if (shown != null && owner != null && owner.longValue() != shown.longValue()) {
      throw Problem.conflict(
          Kind.TAKEN_MEANWHILE,
          people.get(new StaffId(owner)).name()
              + " took it a moment ago. Nothing was changed; take it again if you still want it.");
    }
    return Optional.of(move(row, by.value(), row.teamId(), EventKind.TAKEN, by, null));
  }

  /** Back to nobody. */
  @Transactional
  public Optional<UndoStep> letGo(ConversationId id, StaffId by) {
    Conversation row = inSight.lock(id, by);
    return row.ownerId() == null
        ? Optional.empty()
        : Optional.of(move(row, null, row.teamId(), EventKind.LET_GO, by, null));
  }

  /**
   * Hands it to a person who may see it, or to a team.
   *
   * @param why in a few words, kept as a note; blank for none
   */
  @Transactional
  public Optional<UndoStep> handOver(ConversationId id, HandTo to, String why, StaffId by) {
    Conversation row = inSight.lock(id, by);
    requirePossible(row, to);
    if (why.strip().length() > LONGEST_WHY) {
      throw bad("why", "Give the reason in at most 400 characters; a note has room for more.");
    }
    return hand(row, to, why, by);
  }

  /**
   * Who can receive a conversation.
   *
   * @param people who may see it and work on it, but its owner
   * @param teams with people in them, but the one that has it
   */
  public record Receivers(List<Receiver> people, List<TeamView> teams) {}

  /**
   * A person who can receive it.
   *
   * @param until when that will change by itself
   */
  public record Receiver(StaffView staff, boolean in, @Nullable Instant until) {}

  /** Who can receive a conversation; those who are in come first. */
  public Receivers receivers(ConversationId id, StaffId asking) {
    Conversation row = inSight.row(id, asking);
    List<Receiver> receivers =
        people.list().stream()
            .filter(staff -> !Objects.equals(row.ownerId(), staff.id()))
            .filter(staff -> eligible.mayOwn(staff.id(), row))
            .map(this::receiver)
            .sorted(Comparator.comparing((Receiver one) -> !one.in()))
            .toList();
    long present = eligible.team(row).id();
    List<TeamView> others =
        teams.list().stream()
            .filter(team -> team.id() != present && !team.members().isEmpty())
            .toList();
    return new Receivers(receivers, others);
  }

  private Receiver receiver(StaffView staff) {
    Presence presence = eligible.presence(staff.id());
    return new Receiver(staff, presence.in(), presence.until().orElse(null));
  }

  /** Hands over a conversation whose row is held, to whom it can be handed. */
  Optional<UndoStep> hand(Conversation row, HandTo to, String why, StaffId by) {
    Long owner = to.person() == null ? null : Long.valueOf(to.person().value());
    Long team = teamAfter(row, to);
    if (Objects.equals(owner, row.ownerId()) && Objects.equals(team, row.teamId())) {
      return Optional.empty();
    }
    boolean toNobody = to.person() == null && to.team() == null;
    EventKind kind = toNobody ? EventKind.LET_GO : EventKind.HANDED_OVER;
    return Optional.of(move(row, owner, team, kind, by, new Handing(to, why)));
  }

  /** What is handed to the line's own team is not elsewhere. */
  private @Nullable Long teamAfter(Conversation row, HandTo to) {
    if (to.team() == null) {
      return row.teamId();
    }
    long team = to.team().value();
    return team == eligible.line(row).teamId() ? null : Long.valueOf(team);
  }

  /** Refuses a receiver who is not here any more, or a team without people. */
  public void requireReceiver(HandTo to) {
    StaffId person = to.person();
    if (person != null && !people.get(person).active()) {
      throw bad("to", people.get(person).name() + " is not here any more. Nothing was changed.");
    }
    requirePeople(to);
  }

  private void requirePossible(Conversation row, HandTo to) {
    StaffId person = to.person();
    if (person != null && !eligible.mayOwn(person.value(), row)) {
      String name = people.get(person).name();
      throw bad(
          "to",
          name
              + " may not work on "
              + eligible.line(row).name()
              + ". Choose someone who may, or their team. Nothing was changed.");
    }
    requirePeople(to);
  }

  private void requirePeople(HandTo to) {
    if (to.team() != null) {
      TeamView team = teams.get(to.team());
      if (team.members().isEmpty()) {
        throw bad(
            "to", "There is nobody in the team " + team.name() + " yet. Nothing was changed.");
      }
    }
  }

  private static Problem bad(String field, String why) {
    return Problem.fields(List.of(new FieldProblem(field, why)));
  }

  /** How it changes hands, beyond the owner. */
  private record Handing(HandTo to, String why) {}

  private UndoStep move(
      Conversation row,
      @Nullable Long owner,
      @Nullable Long team,
      EventKind kind,
      StaffId by,
      @Nullable Handing handing) {
    Doing doing = steps.doing(row, by);
    books.setOwner(row, owner);
    books.setTeam(row, team);
    List<Long> touched = new ArrayList<>();
    long event = books.append(event(row, kind, by, handing));
    touched.add(event);
    if (handing != null && !handing.why().isBlank()) {
      touched.add(
          books.append(
              Entry.note(
                  row.id(), books.now(), handing.why().strip(), by.value(), "handed-" + event)));
    }
    boolean handed = kind == EventKind.HANDED_OVER;
    books.setHanded(row, handed ? event : null);
    if (handed && handing != null) {
      TeamId to = handing.to().team();
      events.publishEvent(
          new ConversationHanded(
              new ConversationId(row.id()),
              new EntryId(event),
              owner,
              to == null ? null : to.value(),
              by.value()));
    }
    books.sightChanged(new ConversationId(row.id()), row.spot());
    return steps.done(doing, kind, new EntryId(event), touched);
  }

  private Entry event(Conversation row, EventKind kind, StaffId by, @Nullable Handing handing) {
    Entry event = Entry.event(row.id(), books.now(), kind, by.value(), null, null);
    if (handing == null) {
      return event;
    }
    StaffId person = handing.to().person();
    return event.about(
        row.ownerId(),
        person == null ? null : Long.valueOf(person.value()),
        handing.to().team() == null ? null : Long.valueOf(handing.to().team().value()));
  }
}
