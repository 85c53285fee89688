package fabulum.server.notices;

import fabulum.core.notice.Kind;
import fabulum.core.notice.NoticeChannel;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.inbox.ConversationView;
import fabulum.server.notices.store.NoticeMapper;
import fabulum.server.notices.store.NoticeRow;
import fabulum.server.presence.Watchers;
import java.time.Clock;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Set;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/**
 * Gives someone a notice, once, in the ways they chose. The person who has the conversation in
 * front of them is not disturbed. To be used within the transaction of what it tells of.
 */
@Component
class Telling {
  private static final int LONGEST = 300;

  private final NoticeMapper notices;
  private final NoticeChoices choices;
  private final Watchers watchers;
  private final WhoIsTold whoIsTold;
  private final NoticeMail mail;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Telling(
      NoticeMapper notices,
      NoticeChoices choices,
      Watchers watchers,
      WhoIsTold whoIsTold,
      NoticeMail mail,
      ApplicationEventPublisher events,
      Clock clock) {
    this.notices = notices;
    this.choices = choices;
    this.watchers = watchers;
    this.whoIsTold = whoIsTold;
    this.mail = mail;
    this.events = events;
    this.clock = clock;
  }

  /**
   * What is to be told.
   *
   * @param about names the occasion: of one kind it is told to each person once
   * @param always whether it stands in their list whatever they chose, for a lead wants them told
   */
  record Notice(
      Kind kind, ConversationView conversation, String about, String words, boolean always) {}

  void tell(long who, Notice notice) {
    StaffId to = new StaffId(who);
    long conversation = notice.conversation().id();
    Set<NoticeChannel> by = EnumSet.noneOf(NoticeChannel.class);
    by.addAll(choices.of(to).getOrDefault(notice.kind(), Set.of()));
    if (notice.always()) {
      by.add(NoticeChannel.HERE);
    }
    if (by.isEmpty()
        || !whoIsTold.sees(who, notice.conversation())
        || notices.exists(who, conversation, notice.kind(), notice.about())) {
      return;
    }
    boolean there = watchers.isThere(new ConversationId(conversation), to);
    Instant now = clock.instant();
    NoticeRow row =
        new NoticeRow(
            0, who, notice.kind(), conversation, cut(notice.words()), now, there ? now : null);
    long id = notices.insert(row, notice.about(), by.contains(NoticeChannel.HERE));
    if (!there) {
      events.publishEvent(new NoticeGiven(new NoticeId(id), to, by));
      if (by.contains(NoticeChannel.MAIL)) {
        mail.send(id, to, notice);
      }
    }
  }

  private static String cut(String words) {
    return words.length() <= LONGEST ? words : words.substring(0, LONGEST - 1) + "…";
  }
}
