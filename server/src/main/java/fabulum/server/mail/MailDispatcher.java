package fabulum.server.mail;

import fabulum.core.delivery.Waits;
import fabulum.server.mail.store.MailMapper;
import fabulum.server.mail.store.MailRow;
import fabulum.server.platform.Steadily;
import fabulum.server.platform.Troubles;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Properties;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.mail.MailException;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Takes mail to the mail server, in order, one at a time. Each mail is claimed first, so that two
 * processes on one database never send it both. The message id is made from our own reference:
 * should a mail go again after a broken connection, its receiver can tell that it is the same.
 */
@Component
class MailDispatcher implements SmartLifecycle {
  private static final Logger log = LoggerFactory.getLogger(MailDispatcher.class);
  private static final int AT_ONCE = 50;

  /** However long it takes, mail waits: at last it is tried every hour. */
  private static final Waits WAITS = Waits.doubling(Duration.ofSeconds(5), Duration.ofHours(1));

  private final MailMapper mails;
  private final MailSettings settings;
  private final Clock clock;
  private final @Nullable JavaMailSenderImpl sender;
  private final ExecutorService rounds = Executors.newSingleThreadExecutor(MailDispatcher::daemon);

  private final Troubles troubles;

  /** Longer than sending can take; then another process may take the mail over. */
  private final Duration claim;

  private final Steadily<MailRow> steadily = new Steadily<>("A mail stays");

  MailDispatcher(MailMapper mails, MailSettings settings, Troubles troubles, Clock clock) {
    this.mails = mails;
    this.troubles = troubles;
    this.settings = settings;
    this.clock = clock;
    this.claim = settings.timeout().multipliedBy(4).plusMinutes(1);
    this.sender = settings.host() == null ? null : sender(settings);
  }

  private static Thread daemon(Runnable work) {
    Thread thread = new Thread(work, "mail-dispatcher");
    thread.setDaemon(true);
    return thread;
  }

  private static JavaMailSenderImpl sender(MailSettings settings) {
    JavaMailSenderImpl sender = new JavaMailSenderImpl();
    sender.setHost(settings.host());
    sender.setPort(settings.port());
    sender.setUsername(settings.user());
    sender.setPassword(settings.password());
    sender.setDefaultEncoding(StandardCharsets.UTF_8.name());
    String patience = String.valueOf(settings.timeout().toMillis());
    Properties properties = sender.getJavaMailProperties();
    properties.setProperty("mail.smtp.connectiontimeout", patience);
    properties.setProperty("mail.smtp.timeout", patience);
    properties.setProperty("mail.smtp.writetimeout", patience);
    properties.setProperty("mail.smtp.starttls.enable", "true");
    properties.setProperty("mail.smtp.auth", String.valueOf(settings.user() != null));
    return sender;
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void filled(MailFilled event) {
    round();
  }

  @Scheduled(initialDelay = 1, fixedDelay = 2, timeUnit = TimeUnit.SECONDS)
  void round() {
    if (sender != null && !rounds.isShutdown()) {
      rounds.execute(this::carryAll);
    }
  }

  private void carryAll() {
    try {
      steadily.each(mails.listDue(clock.instant(), AT_ONCE + steadily.failing()), this::carry);
    } catch (RuntimeException e) {
      log.warn("Mail could not be read; trying again", e);
    }
  }

  private void carry(MailRow row) {
    JavaMailSenderImpl by = sender;
    if (by == null) {
      return;
    }
    Instant now = clock.instant();
    if (mails.claim(row.id(), now, now.plus(claim)) == 0) {
      return;
    }
    try {
      by.send(message(by, row));
      mails.sent(row.id(), clock.instant());
      if (row.attempts() > 0) {
        count();
      }
    } catch (MailException | MessagingException broken) {
      log.warn("Mail {} could not be sent: {}", row.id(), broken.getMessage());
      mails.failed(
          row.id(),
          clock.instant().plus(WAITS.after(row.attempts() + 1)),
          String.valueOf(broken.getMessage()));
      count();
    }
  }

  private MimeMessage message(JavaMailSenderImpl by, MailRow row) throws MessagingException {
    String id = "<" + row.reference() + "@fabulum>";
    MimeMessage message =
        new MimeMessage(by.getSession()) {
          @Override
          protected void updateMessageID() throws MessagingException {
            setHeader("Message-ID", id);
          }
        };
    message.setFrom(new InternetAddress(settings.from()));
    message.setRecipient(Message.RecipientType.TO, new InternetAddress(row.address()));
    message.setSubject(row.subject(), StandardCharsets.UTF_8.name());
    message.setText(row.words(), StandardCharsets.UTF_8.name());
    return message;
  }

  /** Says how much mail has been tried in vain for a while. */
  @EventListener(ApplicationReadyEvent.class)
  void count() {
    int stuck = mails.countStuck(Mail.STUCK_AFTER);
    if (stuck == 0) {
      troubles.over(Troubles.Kind.MAIL);
      return;
    }
    troubles.report(
        Troubles.Kind.MAIL,
        (stuck == 1 ? "1 mail" : stuck + " mails")
            + " could not be sent; it is tried again every hour. See Set-up, Mail.");
  }

  @Override
  public void start() {}

  @Override
  public void stop() {
    rounds.shutdown();
  }

  @Override
  public boolean isRunning() {
    return !rounds.isShutdown();
  }
}
