package fabulum.server.schedule;

import fabulum.core.phone.Sender;
import fabulum.core.phone.Whereabouts;
import fabulum.core.schedule.RepeatText;
import fabulum.server.access.StaffId;
import fabulum.server.attachments.AttachmentView;
import fabulum.server.attachments.Attachments;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.inbox.ConversationView;
import fabulum.server.inbox.Inbox;
import fabulum.server.templates.Fills;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Shows planned texts to a person, as far as they see their conversations. */
@Component
class PlanViews {
  private static final int SHOWN_DATES = 4;

  private final PlanTimes times;
  private final Attachments attachments;
  private final Bookkeeping books;
  private final Inbox inbox;
  private final Fills fills;
  private final Whereabouts whereabouts = new Whereabouts();

  PlanViews(PlanTimes times, Attachments attachments, Bookkeeping books, Inbox inbox, Fills fills) {
    this.times = times;
    this.attachments = attachments;
    this.books = books;
    this.inbox = inbox;
    this.fills = fills;
  }

  /** Those of these whose conversations the person sees, in their order. */
  List<PlannedView> of(List<Planned> plans, StaffId asking) {
    List<ConversationId> ids =
        plans.stream().map(Planned::conversation).distinct().map(ConversationId::new).toList();
    Map<Long, ConversationView> seen =
        inbox.list(ids, asking).stream()
            .collect(Collectors.toMap(ConversationView::id, Function.identity()));
    Map<Long, Conversation> rows =
        books.list(ids).stream().collect(Collectors.toMap(Conversation::id, Function.identity()));
    Map<Long, List<AttachmentView>> attached =
        attachments.listOfPlanned(plans.stream().map(Planned::id).toList());
    return plans.stream()
        .filter(plan -> seen.containsKey(plan.conversation()))
        .map(plan ->
            view(
                plan,
                Objects.requireNonNull(rows.get(plan.conversation())),
                Objects.requireNonNull(seen.get(plan.conversation())),
                attached.getOrDefault(plan.id(), List.of())))
        .toList();
  }

  private PlannedView view(
      Planned plan, Conversation row, ConversationView view, List<AttachmentView> attached) {
    List<Instant> dates =
        times.upcoming(plan, row, SHOWN_DATES).stream()
            .filter(at -> at.isAfter(plan.dueAt()))
            .limit(SHOWN_DATES - 1L)
            .toList();
    String rule = plan.rule();
    return new PlannedView(
        plan.id(),
        plan.version(),
        plan.staff(),
        plan.words(),
        fills.fill(plan.words(), row, new StaffId(plan.staff())),
        attached,
        plan.dueAt(),
        plan.zone(),
        theirZone(row, plan.zone()),
        plan.typed(),
        rule,
        rule == null ? null : RepeatText.say(RepeatText.read(rule)),
        plan.whenClosed(),
        dates,
        plan.unlessWritten(),
        plan.comesToMe(),
        plan.went(),
        plan.held(),
        view);
  }

  /** By whose clocks the customer lives, as far as their number tells. */
  String theirZone(Conversation row, String ours) {
    return Sender.ofAddress(row.address())
        .answerable()
        .flatMap(whereabouts::zone)
        .map(Object::toString)
        .orElse(ours);
  }
}
