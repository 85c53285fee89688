package fabulum.server.notices;

import fabulum.server.access.StaffId;
import fabulum.server.inbox.ConversationView;
import fabulum.server.mail.Mail;
import fabulum.server.notices.Telling.Notice;
import fabulum.server.people.People;
import fabulum.server.platform.PageSettings;
import org.springframework.stereotype.Component;

/** Notices by mail, for those who chose so. */
@Component
class NoticeMail {
  private final People people;
  private final Mail mail;
  private final PageSettings page;

  NoticeMail(People people, Mail mail, PageSettings page) {
    this.people = people;
    this.mail = mail;
    this.page = page;
  }

  void send(long id, StaffId to, Notice notice) {
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
      case TO_IDENTIFY -> "Who is it? " + who;
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
