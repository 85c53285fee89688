package fabulum.server.ownership;

import fabulum.core.assignment.Given;
import fabulum.core.assignment.GivingOut;
import fabulum.core.assignment.Way;
import fabulum.core.attendance.Covering;
import fabulum.core.attendance.Covering.End;
import fabulum.core.attendance.Covering.Found;
import fabulum.core.attendance.Presence;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.EventKind;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.ownership.store.OwnershipMapper;
import fabulum.server.ownership.store.TurnRow;
import fabulum.server.people.People;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/**
 * Finds an owner for what a customer wrote, in the transaction that takes the text in. What has an
 * owner goes to them, or, while they are away, to their cover; what has none is given out in the
 * way of its line.
 */
@Component
public class Assignment {
  private final OwnershipMapper owners;
  private final Bookkeeping books;
  private final Eligible eligible;
  private final Lines lines;
  private final People people;
  private final ApplicationEventPublisher events;
  private final List<AnswerGoesTo> asking;

  Assignment(
      OwnershipMapper owners,
      Bookkeeping books,
      Eligible eligible,
      Lines lines,
      People people,
      ApplicationEventPublisher events,
      List<AnswerGoesTo> asking) {
    this.asking = List.copyOf(asking);
    this.owners = owners;
    this.books = books;
    this.eligible = eligible;
    this.lines = lines;
    this.people = people;
    this.events = events;
  }

  /**
   * A text came in.
   *
   * @param newWait whether nobody had waited before it
   * @return the events this wrote into the script
   */
  public List<Long> arrived(ConversationId id, boolean newWait) {
    Conversation row = books.row(id);
    List<Long> touched = new ArrayList<>();
    if (row.apart()) {
      return touched;
    }
    askedFor(row).ifPresent(touched::add);
    Long owner = books.row(id).ownerId();
    if (owner != null) {
      cover(row, owner).ifPresent(touched::add);
    }
    String notGiven = null;
    Conversation after = books.row(id);
    if (after.ownerId() == null) {
      notGiven = giveOut(after, newWait, touched);
      after = books.row(id);
    }
    if (newWait) {
      events.publishEvent(
          new ConversationArrived(
              id, new LineId(row.lineId()), after.ownerId(), row.teamId(), row.since(), notGiven));
    } else {
      tellOfOwner(row, after);
    }
    if (!after.spot().equals(row.spot())) {
      books.sightChanged(id, row.spot());
    }
    return touched;
  }

  /** Who asked for the answer gets it; while they are away, their cover does. */
  private Optional<Long> askedFor(Conversation row) {
    return asking.stream()
        .flatMap(each -> each.take(row).stream())
        .findFirst()
        .map(StaffId::value)
        .filter(who -> !who.equals(row.ownerId()) && eligible.mayOwn(who, row))
        .map(who -> {
          books.setOwner(row, who);
          return handedEvent(
              row, EventKind.GIVEN, who, name(who) + " asked for the answer to a planned text");
        });
  }

  private Optional<Long> cover(Conversation row, long owner) {
    Found found = Covering.follow(owner, eligible::presence, who -> eligible.mayOwn(who, row));
    if (found.end() == End.SOMEBODY && found.who() == owner) {
      return Optional.empty();
    }
    String first = name(owner);
    if (found.end() == End.SOMEBODY) {
      books.setOwner(row, found.who());
      return Optional.of(covered(row, found.who(), first + " is away" + by(found.way())));
    }
    Presence presence = eligible.presence(owner);
    if (found.end() == End.NO_COVER && isBackInTime(presence, row.dueAt())) {
      return Optional.empty();
    }
    books.setOwner(row, null);
    String last = name(found.who());
    String why =
        switch (found.end()) {
          case LOOP ->
              "the covers lead in a circle: "
                  + found.way().stream().map(this::name).collect(Collectors.joining(", then "));
          case MAY_NOT ->
              first + " is away, and " + last + ", who covers, may not work on this line";
          case NO_COVER, SOMEBODY ->
              last.equals(first)
                  ? first + " is away and nobody covers"
                  : first + " is away, so is " + last + ", and nobody covers";
        };
    return Optional.of(books.event(row, EventKind.LET_GO, null, why));
  }

  private String by(List<Long> way) {
    List<Long> between = way.subList(1, way.size() - 1);
    return between.isEmpty()
        ? ""
        : ", so is " + between.stream().map(this::name).collect(Collectors.joining(", so is "));
  }

  /** The person who is back before the promise is broken need not be covered for. */
  private static boolean isBackInTime(Presence presence, @Nullable Instant due) {
    return due != null && presence.until().filter(back -> !back.isAfter(due)).isPresent();
  }

  private long covered(Conversation row, long to, String why) {
    long event = handedEvent(row, EventKind.COVERED, to, why);
    books.setHanded(row, event);
    return event;
  }

  /** Tells of a new owner in a wait that goes on; of a new wait everybody is told anyhow. */
  private void tellOfOwner(Conversation before, Conversation after) {
    Long owner = after.ownerId();
    Long event = after.handedEntry();
    if (owner != null && event != null && !event.equals(before.handedEntry())) {
      events.publishEvent(
          new ConversationHanded(
              new ConversationId(after.id()), new EntryId(event), owner, null, null));
    }
  }

  private long handedEvent(Conversation row, EventKind kind, long to, String why) {
    return books.append(
        Entry.event(row.id(), books.now(), kind, null, why, null).about(row.ownerId(), to, null));
  }

  /** Gives out what nobody owns; the answer says why that was not possible, where it was tried. */
  private @Nullable String giveOut(Conversation row, boolean newWait, List<Long> touched) {
    Way way = eligible.line(row).way();
    if (way == Way.NOBODY) {
      return null;
    }
    LineId line = new LineId(row.lineId());
    lines.lockForGiving(line);
    Given given = GivingOut.decide(way, eligible.candidates(row), lastOwner(row));
    if (given instanceof Given.To to) {
      books.setOwner(row, to.who());
      long turn =
          owners.listTurns(line.value()).stream().mapToLong(TurnRow::lastTurn).max().orElse(0);
      owners.setTurn(line.value(), to.who(), turn + 1);
      long event = handedEvent(row, EventKind.GIVEN, to.who(), to.reason());
      touched.add(event);
      if (!newWait) {
        events.publishEvent(
            new ConversationHanded(
                new ConversationId(row.id()), new EntryId(event), to.who(), null, null));
      }
      return null;
    }
    if (newWait) {
      touched.add(books.event(row, EventKind.NOT_GIVEN, null, given.reason()));
    }
    return given.reason();
  }

  /** The owner of the customer's latest conversation, else the person who answered here last. */
  private OptionalLong lastOwner(Conversation row) {
    Optional<Long> owner =
        row.customerId() == null
            ? owners.findLastOwnerOfNumber(row.numberId())
            : owners.findLastOwnerOfCustomer(row.customerId());
    Long last =
        owner.orElseGet(
            () -> owners.findLastOf(row.id(), EntryKind.OUT).map(Entry::speakerId).orElse(null));
    return last == null ? OptionalLong.empty() : OptionalLong.of(last);
  }

  private String name(long who) {
    return people.get(new StaffId(who)).name();
  }
}
