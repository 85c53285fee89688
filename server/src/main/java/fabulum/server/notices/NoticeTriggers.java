package fabulum.server.notices;

import fabulum.core.notice.Kind;
import fabulum.server.access.StaffId;
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
import fabulum.server.ownership.BroughtIn.Brought;
import fabulum.server.ownership.ConversationArrived;
import fabulum.server.ownership.ConversationHanded;
import fabulum.server.people.People;
import fabulum.server.schedule.PlanHeld;
import fabulum.server.undo.StepTakenBack;
import fabulum.server.writing.ColleagueMentioned;
import fabulum.server.writing.TextReturned;
import fabulum.server.writing.ToDo;
import fabulum.server.writing.ToDoDue;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** What happens that people are told of. Each wait is told of once, not each text. */
@Component
class NoticeTriggers {
  private final NoticeMapper notices;
  private final Telling telling;
  private final WhoIsTold whoIsTold;
  private final Inbox inbox;
  private final Scripts scripts;
  private final Lines lines;
  private final People people;

  NoticeTriggers(
      NoticeMapper notices,
      Telling telling,
      WhoIsTold whoIsTold,
      Inbox inbox,
      Scripts scripts,
      Lines lines,
      People people) {
    this.notices = notices;
    this.telling = telling;
    this.whoIsTold = whoIsTold;
    this.inbox = inbox;
    this.scripts = scripts;
    this.lines = lines;
    this.people = people;
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
      Set<Long> told = whoIsTold.of(chosen, view);
      // With all of them away it waits for them: better late than never.
      (told.isEmpty() ? chosen : told).forEach(who -> telling.tell(who, notGiven));
    }
    Notice nobodys = new Notice(Kind.NOBODYS, view, about, words, false);
    whoIsTold.atWork(arrived.team(), arrived.line()).forEach(who -> telling.tell(who, nobodys));
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
      whoIsTold.atWork(handed.team(), new LineId(view.lineId())).stream()
          .filter(who -> !who.equals(by))
          .forEach(who -> telling.tell(who, notice));
    }
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

  @EventListener
  void brought(Brought brought) {
    ConversationView view = inbox.find(brought.id()).orElseThrow();
    String words = people.get(brought.by()).name() + " brought you into this conversation.";
    telling.tell(
        brought.who().value(),
        new Notice(Kind.MENTION, view, "brought in " + brought.event(), words, false));
  }

  /**
   * A text of ours was not delivered. Its conversation's owner is told, else who wrote it and the
   * team; while all of them are away, the leads: someone always is.
   */
  @EventListener
  void notDelivered(TextNotDelivered lost) {
    ConversationView view = inbox.find(lost.id()).orElseThrow();
    List<Long> meant = new ArrayList<>();
    Stream.ofNullable(lost.owner() == null ? lost.writer() : lost.owner()).forEach(meant::add);
    if (lost.owner() == null && lost.needsHand()) {
      meant.addAll(whoIsTold.atWork(lost.team(), new LineId(view.lineId())));
    }
    Set<Long> told = whoIsTold.of(meant, view);
    String words = "Not delivered: " + text(lost.text()) + " " + lost.reason();
    // One that is shown with its act has no conversation that is our turn because of it.
    Notice notice =
        new Notice(Kind.UNDELIVERED, view, "text " + lost.text().value(), words, lost.needsHand());
    (told.isEmpty() ? whoIsTold.leads() : told).forEach(who -> telling.tell(who, notice));
  }

  @EventListener
  void due(ToDoDue due) {
    ToDo toDo = due.toDo();
    ConversationView view = inbox.find(new ConversationId(toDo.conversation())).orElseThrow();
    String about = "to do " + toDo.note();
    telling.tell(toDo.staff(), new Notice(Kind.MINE, view, about, "To do: " + toDo.words(), false));
  }

  /** A planned text did not go: its writer is told, else the owner and the team, else the leads. */
  @EventListener
  void held(PlanHeld plan) {
    ConversationView view = inbox.find(plan.id()).orElseThrow();
    Set<Long> told = whoIsTold.of(List.of(plan.writer()), view);
    if (told.isEmpty()) {
      Long owner = view.owner() == null ? null : view.owner().id();
      List<Long> instead =
          owner == null
              ? whoIsTold.atWork(view.teamId(), new LineId(view.lineId()))
              : List.of(owner);
      told = whoIsTold.of(instead, view);
    }
    String words = "A planned text was not sent. " + plan.why();
    Notice notice = new Notice(Kind.UNDELIVERED, view, "planned " + plan.plan(), words, true);
    (told.isEmpty() ? whoIsTold.leads() : told).forEach(who -> telling.tell(who, notice));
  }

  @EventListener
  void returned(TextReturned text) {
    ConversationView view = inbox.find(text.id()).orElseThrow();
    String words = people.get(text.by()).name() + " returned your text: “" + text.why() + "”";
    telling.tell(
        text.writer().value(), new Notice(Kind.MINE, view, about(text.event()), words, false));
  }

  /** What was told of a step that was taken back is not so any more. */
  @EventListener
  void takenBack(StepTakenBack step) {
    notices.delete(step.id().value(), about(step.event()));
  }

  private static String about(EntryId event) {
    return "event " + event.value();
  }

  private String text(EntryId id) {
    String words = note(id);
    return words.isBlank() ? "an attachment." : "“" + words + "”";
  }

  private String note(EntryId id) {
    return scripts.entries(List.of(id)).stream()
        .map(entry -> Optional.ofNullable(entry.words()).orElse(""))
        .findFirst()
        .orElse("");
  }
}
