package fabulum.server.notices;

import fabulum.core.notice.Channel;
import fabulum.core.notice.Kind;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.inbox.ConversationView;
import fabulum.server.lines.Sights;
import fabulum.server.mail.Mail;
import fabulum.server.notices.store.NoticeMapper;
import fabulum.server.notices.store.NoticeRow;
import fabulum.server.people.People;
import fabulum.server.platform.PageSettings;
import fabulum.server.presence.Watchers;
import java.time.Clock;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Set;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/**
 * Gives somebody a notice, once, in the ways they chose. Whoever has the conversation in front of
 * them is not disturbed. To be used within the transaction of what it tells of.
 */
@Component
class Telling {
  private static final int LONGEST = 300;

  private final NoticeMapper notices;
  private final NoticeChoices choices;
  private final Watchers watchers;
  private final Sights sights;
  private final People people;
  private final Mail mail;
  private final PageSettings page;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Telling(
      NoticeMapper notices,
      NoticeChoices choices,
      Watchers watchers,
      Sights sights,
      People people,
      Mail mail,
      PageSettings page,
      ApplicationEventPublisher events,
      Clock clock) {
    this.notices = notices;
    this.choices = choices;
    this.watchers = watchers;
    this.sights = sights;
    this.people = people;
    this.mail = mail;
    this.page = page;
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

  boolean sees(long who, ConversationView conversation) {
    return sights.of(new StaffId(who)).sees(conversation.spot());
  }

  void tell(long who, Notice notice) {
    StaffId to = new StaffId(who);
    long conversation = notice.conversation().id();
    Set<Channel> by = EnumSet.noneOf(Channel.class);
    by.addAll(choices.of(to).getOrDefault(notice.kind(), Set.of()));
    if (notice.always()) {
      by.add(Channel.HERE);
    }
    if (by.isEmpty()
        || !sees(who, notice.conversation())
        || notices.exists(who, conversation, notice.kind(), notice.about())) {
      return;
    }
    boolean there = watchers.isThere(new ConversationId(conversation), to);
    Instant now = clock.instant();
    NoticeRow row =
        new NoticeRow(
            0, who, notice.kind(), conversation, cut(notice.words()), now, there ? now : null);
    long id = notices.insert(row, notice.about(), by.contains(Channel.HERE));
    if (!there) {
      events.publishEvent(new NoticeGiven(new NoticeId(id), to, by));
      if (by.contains(Channel.MAIL)) {
        send(id, to, notice);
      }
    }
  }

  private static String cut(String words) {
    return words.length() <= LONGEST ? words : words.substring(0, LONGEST - 1) + "…";
  }

  private void send(long id, StaffId to, Notice notice) {
    people
        .findEmail(to)
        .ifPresent(address -> mail.send(address, subject(notice), words(notice), "notice-" + id));
  }

  private static String subject(Notice notice) {
    String who = name(notice.conversation());
    return switch (notice.kind()) {
      case MINE -> "Yours: " + who;
      case NOBODYS -> "Nobody's yet: " + who;
      case MENTION -> "A note names you: " + who;
      case UNDELIVERED -> "Not delivered: " + who;
      case SOON -> "Soon late: " + who;
      case LATE -> "Late: " + who;
    };
  }

  static String name(ConversationView conversation) {
    String customer = conversation.customerName();
    return customer == null ? conversation.number() : customer;
  }

  private String words(Notice notice) {
    String link =
        page.address() == null
            ? ""
            : "\n\n" + page.address() + "/inbox/" + notice.conversation().id();
    return notice.words() + link + "\n";
  }
}
