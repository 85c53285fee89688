package fabulum.server.mail;

import fabulum.server.mail.store.MailMapper;
import fabulum.server.platform.Problem;
import java.time.Clock;
import java.util.List;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sends mail. It is written down with whatever causes it, and goes out soon after. */
@Service
public class Mail {
  /** After this number of attempts in vain a lead is told. */
  static final int STUCK_AFTER = 5;

  private static final int LONGEST_SUBJECT = 200;
  private static final int SHOWN = 200;

  private final MailMapper mails;
  private final ApplicationEventPublisher events;
  private final Clock clock;
  private final boolean setUp;

  Mail(MailMapper mails, MailSettings settings, ApplicationEventPublisher events, Clock clock) {
    this.mails = mails;
    this.events = events;
    this.clock = clock;
    this.setUp = settings.host() != null;
  }

  /** Whether there is a mail server; without one mail waits. */
  public boolean isSetUp() {
    return setUp;
  }

  /**
   * Sends a mail, once.
   *
   * @param reference names it: sending again under the same one sends nothing more
   */
  @Transactional
  public void send(String address, String subject, String words, String reference) {
    if (!mails.exists(reference)) {
      String line = subject.replaceAll("\\s+", " ");
      String cut = line.length() <= LONGEST_SUBJECT ? line : line.substring(0, LONGEST_SUBJECT);
      mails.insert(reference, address, cut, words, clock.instant());
      events.publishEvent(new MailFilled());
    }
  }

  /** Whether a mail with this reference was sent or waits to be. */
  public boolean isKnown(String reference) {
    return mails.exists(reference);
  }

  /** Mail that has been tried in vain for a while, the oldest first. */
  public List<StuckMail> listStuck() {
    return mails.listStuck(STUCK_AFTER, SHOWN);
  }

  /** Tries to send such a mail again now. */
  @Transactional
  public void sendAgain(long id) {
    if (mails.sendAgain(id, clock.instant()) == 0) {
      throw Problem.notFound("mail that waits");
    }
    events.publishEvent(new MailFilled());
  }
}
