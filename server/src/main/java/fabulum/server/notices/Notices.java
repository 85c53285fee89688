package fabulum.server.notices;

import fabulum.core.access.Act;
import fabulum.core.access.Role;
import fabulum.core.attendance.Presence;
import fabulum.core.conversation.Group;
import fabulum.core.notice.Kind;
import fabulum.core.notice.Receivers;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import fabulum.server.inbox.ConversationView;
import fabulum.server.inbox.Inbox;
import fabulum.server.inbox.Scripts;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.messaging.TextNotDelivered;
import fabulum.server.notices.Telling.Notice;
import fabulum.server.notices.store.NoticeMapper;
import fabulum.server.notices.store.NoticeRow;
import fabulum.server.ownership.ConversationArrived;
import fabulum.server.ownership.ConversationHanded;
import fabulum.server.people.Attendances;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.people.Teams;
import fabulum.server.platform.DiskReserve;
import fabulum.server.presence.Watchers;
import fabulum.server.undo.StepTakenBack;
import fabulum.server.writing.ColleagueMentioned;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.LongPredicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What people are told, and the list of it. Each wait is told of once, not each text. */
@Service
public class Notices {
  private static final int SHOWN = 100;

  private final NoticeMapper notices;
  private final Telling telling;
  private final Inbox inbox;
  private final Scripts scripts;
  private final Lines lines;
  private final Teams teams;
  private final People people;
  private final Permits permits;
  private final Attendances attendances;
  private final DiskReserve reserve;
  private final Clock clock;

  Notices(
      NoticeMapper notices,
      Telling telling,
      Inbox inbox,
      Scripts scripts,
      Lines lines,
      Teams teams,
      People people,
      Permits permits,
      Attendances attendances,
      DiskReserve reserve,
      Clock clock) {
    this.notices = notices;
    this.telling = telling;
    this.inbox = inbox;
    this.scripts = scripts;
    this.lines = lines;
    this.teams = teams;
    this.people = people;
    this.permits = permits;
    this.attendances = attendances;
    this.reserve = reserve;
    this.clock = clock;
  }

  @EventListener
  void arrived(ConversationArrived arrived) {
    ConversationView view = inbox.find(arrived.id()).orElseThrow();
    String about = "wait " + arrived.since();
    String words = "“" + view.lastWords() + "”";
    Long owner = arrived.owner();
    if (owner != null) {
      telling.tell(owner, new Notice(Kind.MINE, view, about, words, false));
      return;
    }
    String why = arrived.notGiven();
    if (why != null) {
      Notice notGiven =
          new Notice(Kind.NOBODYS, view, about, "Not assigned: " + why + ". " + words, true);
      List<Long> chosen = lines.toldOfNobodys(arrived.line());
      Set<Long> told = Receivers.of(chosen, this::presence, seeing(view));
      // With all of them away it waits for them: better late than never.
      (told.isEmpty() ? chosen : told).forEach(who -> telling.tell(who, notGiven));
    }
    long team = arrived.team() == null ? lines.get(arrived.line()).teamId() : arrived.team();
    Notice nobodys = new Notice(Kind.NOBODYS, view, about, words, false);
    working(team).forEach(who -> telling.tell(who, nobodys));
  }

  private Presence presence(long who) {
    return attendances.presence(new StaffId(who));
  }

  private LongPredicate seeing(ConversationView view) {
    return who -> telling.sees(who, view);
  }

  @EventListener
  void handed(ConversationHanded handed) {
    ConversationView view = inbox.find(handed.id()).orElseThrow();
    String about = about(handed.event());
    Long by = handed.by();
    Long to = handed.to();
    if (to != null && !to.equals(by)) {
      String words =
          by == null
              ? "It is yours now. “" + view.lastWords() + "”"
              : people.get(new StaffId(by)).name() + " handed it to you.";
      telling.tell(to, new Notice(Kind.MINE, view, about, words, false));
    } else if (to == null && handed.team() != null && by != null) {
      String words = people.get(new StaffId(by)).name() + " handed it to your team.";
      Notice notice = new Notice(Kind.NOBODYS, view, about, words, false);
      working(handed.team()).stream()
          .filter(who -> !who.equals(by))
          .forEach(who -> telling.tell(who, notice));
    }
  }

  /** Those of a team who work and are in. */
  private List<Long> working(long team) {
    return teams.get(new TeamId(team)).members().stream()
        .filter(who -> permits.of(new StaffId(who)).may(Act.WORK) && presence(who).in())
        .toList();
  }

  @EventListener
  void mentioned(ColleagueMentioned mention) {
    if (mention.who() == mention.by()) {
      return;
    }
    ConversationView view = inbox.find(mention.id()).orElseThrow();
    String words =
        people.get(new StaffId(mention.by())).name() + ": “" + note(mention.note()) + "”";
    String about = "note " + mention.note().value();
    telling.tell(mention.who(), new Notice(Kind.MENTION, view, about, words, false));
  }

  /**
   * A text of ours was not delivered. Its conversation's owner is told, else who wrote it and the
   * team; while all of them are away, the leads: somebody always is.
   */
  @EventListener
  void notDelivered(TextNotDelivered lost) {
    ConversationView view = inbox.find(lost.id()).orElseThrow();
    List<Long> meant = new ArrayList<>();
    Stream.ofNullable(lost.owner() == null ? lost.writer() : lost.owner()).forEach(meant::add);
    if (lost.owner() == null && lost.needsHand()) {
      long team = lost.team() == null ? lines.get(new LineId(view.lineId())).teamId() : lost.team();
      meant.addAll(working(team));
    }
    Set<Long> told = Receivers.of(meant, this::presence, seeing(view));
    String words = "Not delivered: “" + note(lost.text()) + "” " + lost.reason();
    // One that is shown with its act has no conversation that is our turn because of it.
    Notice notice =
        new Notice(Kind.UNDELIVERED, view, "text " + lost.text().value(), words, lost.needsHand());
    (told.isEmpty() ? leads() : told).forEach(who -> telling.tell(who, notice));
  }

  private Set<Long> leads() {
    return people.list().stream()
        .filter(staff -> staff.active() && staff.role() == Role.LEAD)
        .map(StaffView::id)
        .collect(Collectors.toSet());
  }

  /** What was told of a step that was taken back is not so any more. */
  @EventListener
  void takenBack(StepTakenBack step) {
    notices.delete(step.id().value(), about(step.event()));
  }

  private static String about(EntryId event) {
    return "event " + event.value();
  }

  private String note(EntryId id) {
    return scripts.entries(List.of(id)).stream()
        .map(entry -> Optional.ofNullable(entry.words()).orElse(""))
        .findFirst()
        .orElse("");
  }

  /** Somebody opened the conversation, so they know; kept unless there is no room to. */
  @EventListener
  @Transactional
  public void came(Watchers.Came came) {
    if (!reserve.isStopped()) {
      notices.setSeenOfConversation(came.who().value(), came.id().value(), clock.instant());
    }
  }

  /**
   * Somebody's newest notices of what they see. What a colleague has answered meanwhile, or
   * somebody else has taken, needs nobody's attention any more and counts as seen.
   */
  public NoticePage list(StaffId me) {
    List<NoticeRow> rows = notices.list(me.value(), SHOWN);
    List<ConversationId> ids =
        rows.stream().map(row -> new ConversationId(row.conversationId())).distinct().toList();
    Map<Long, ConversationView> seen =
        inbox.list(ids, me).stream()
            .collect(Collectors.toMap(ConversationView::id, Function.identity()));
    List<NoticeView> views =
        rows.stream()
            .flatMap(row ->
                Stream.ofNullable(seen.get(row.conversationId())).map(view -> view(row, view)))
            .toList();
    return new NoticePage(views, (int) views.stream().filter(view -> !view.seen()).count());
  }

  /** A notice as its receiver sees it; empty when they do not see the conversation any more. */
  public Optional<NoticeView> find(NoticeId id) {
    return notices
        .find(id.value())
        .flatMap(row ->
            inbox
                .list(List.of(new ConversationId(row.conversationId())), new StaffId(row.staffId()))
                .stream()
                .findFirst()
                .map(view -> view(row, view)));
  }

  private static NoticeView view(NoticeRow row, ConversationView conversation) {
    boolean settled =
        switch (row.kind()) {
          case MENTION -> false;
          case NOBODYS -> conversation.group() != Group.OUR_TURN || conversation.owner() != null;
          case UNDELIVERED -> !conversation.failed();
          case MINE, SOON, LATE -> conversation.group() != Group.OUR_TURN;
        };
    return new NoticeView(
        row.id(), row.kind(), row.words(), row.at(), row.seenAt() != null || settled, conversation);
  }

  /** Marks some of one's own as seen. */
  @Transactional
  public void seen(StaffId me, List<NoticeId> ids) {
    if (!ids.isEmpty()) {
      notices.setSeen(me.value(), ids.stream().map(NoticeId::value).toList(), clock.instant());
    }
  }

  /** Marks all of one's own as seen. */
  @Transactional
  public void allSeen(StaffId me) {
    notices.setAllSeen(me.value(), clock.instant());
  }
}
