package fabulum.server.notices;

import fabulum.core.conversation.Group;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.inbox.ConversationView;
import fabulum.server.inbox.Inbox;
import fabulum.server.notices.store.NoticeMapper;
import fabulum.server.notices.store.NoticeRow;
import fabulum.server.platform.DiskReserve;
import fabulum.server.presence.Watchers;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The list of what people were told, for each of them. */
@Service
public class Notices {
  private static final int SHOWN = 100;

  private final NoticeMapper notices;
  private final Inbox inbox;
  private final DiskReserve reserve;
  private final Clock clock;

  Notices(NoticeMapper notices, Inbox inbox, DiskReserve reserve, Clock clock) {
    this.notices = notices;
    this.inbox = inbox;
    this.reserve = reserve;
    this.clock = clock;
  }

  /** Someone opened the conversation, so they know; kept unless there is no room to. */
  @EventListener
  @Transactional
  public void came(Watchers.Came came) {
    if (!reserve.isStopped()) {
      notices.setSeenOfConversation(came.who().value(), came.id().value(), clock.instant());
    }
  }

  /**
   * A person's newest notices of what they see. What a colleague has answered meanwhile, or another
   * person has taken, needs nobody's attention any more and counts as seen.
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
          case TO_IDENTIFY -> !conversation.toIdentify();
          case MINE, SOON, LATE -> conversation.group() != Group.OUR_TURN;
        };
    return new NoticeView(
        row.id(), row.kind(), row.words(), row.at(), row.seenAt() != null || settled, conversation);
  }

  /** Marks some of the person's own as seen. */
  @Transactional
  public void seen(StaffId me, List<NoticeId> ids) {
    if (!ids.isEmpty()) {
      notices.setSeen(me.value(), ids.stream().map(NoticeId::value).toList(), clock.instant());
    }
  }

  /** Marks all of the person's own as seen. */
  @Transactional
  public void allSeen(StaffId me) {
    notices.setAllSeen(me.value(), clock.instant());
  }
}
