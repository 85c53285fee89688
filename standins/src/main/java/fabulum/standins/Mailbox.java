package fabulum.standins;

import com.icegreen.greenmail.user.UserManager;
import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.GreenMailUtil;
import com.icegreen.greenmail.util.ServerSetup;
import jakarta.annotation.PreDestroy;
import jakarta.mail.Address;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * A mail server that delivers everything to one mailbox, whomever it is for. A mail that comes
 * twice under one message id is kept once, as a good receiver does.
 */
@Component
class Mailbox {
  private static final Duration TO_START = Duration.ofSeconds(60);

  private final @Nullable GreenMail server;
  private final Pages pages;
  private volatile int known;

  Mailbox(Settings settings, Pages pages) {
    this.pages = pages;
    this.server = settings.mailPort() == 0 ? null : started(settings.mailPort());
  }

  private static GreenMail started(int port) {
    ServerSetup setup = new ServerSetup(port, "127.0.0.1", ServerSetup.PROTOCOL_SMTP);
    // Two seconds, as the library has it, are too few on a busy machine.
    setup.setServerStartupTimeout(TO_START.toMillis());
    GreenMail mail = new GreenMail(setup);
    mail.start();
    UserManager users = mail.getUserManager();
    users.setAuthRequired(false);
    return mail;
  }

  /** A mail as it came. */
  record Mail(String id, String to, String from, String subject, String words, Instant at) {}

  /** All mail, the newest first. */
  List<Mail> list() throws MessagingException, IOException {
    GreenMail mail = server;
    List<Mail> all = new ArrayList<>();
    Set<String> met = new HashSet<>();
    if (mail != null) {
      for (MimeMessage message : mail.getReceivedMessages()) {
        Mail read = read(message);
        if (met.add(read.id())) {
          all.add(read);
        }
      }
    }
    Collections.reverse(all);
    return all;
  }

  private static Mail read(MimeMessage message) throws MessagingException, IOException {
    Instant at = message.getSentDate() == null ? Instant.EPOCH : message.getSentDate().toInstant();
    return new Mail(
        String.valueOf(message.getMessageID()),
        addresses(message.getRecipients(Message.RecipientType.TO)),
        addresses(message.getFrom()),
        String.valueOf(message.getSubject()),
        message.getContent() instanceof String words ? words : GreenMailUtil.getBody(message),
        at);
  }

  private static String addresses(Address @Nullable [] all) {
    return all == null
        ? ""
        : Arrays.stream(all).map(Address::toString).collect(Collectors.joining(", "));
  }

  /** The open page looks again when something has come. */
  @Scheduled(fixedDelay = 1, timeUnit = TimeUnit.SECONDS)
  void look() {
    GreenMail mail = server;
    if (mail != null) {
      int now = mail.getReceivedMessages().length;
      if (now != known) {
        known = now;
        pages.changed();
      }
    }
  }

  @PreDestroy
  void stop() {
    GreenMail mail = server;
    if (mail != null) {
      mail.stop();
    }
  }
}
