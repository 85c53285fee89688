package fabulum.standins;

import jakarta.mail.MessagingException;
import java.io.IOException;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What was mailed. */
@RestController
class MailboxController {
  private final Mailbox mailbox;

  MailboxController(Mailbox mailbox) {
    this.mailbox = mailbox;
  }

  @GetMapping("/mailbox")
  List<Mailbox.Mail> list() throws MessagingException, IOException {
    return mailbox.list();
  }
}
