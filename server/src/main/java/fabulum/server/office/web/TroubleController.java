package fabulum.server.office.web;

import fabulum.core.access.Act;
import fabulum.server.access.Permits;
import fabulum.server.accounts.SignedIn;
import fabulum.server.mail.Mail;
import fabulum.server.mail.StuckMail;
import fabulum.server.platform.Troubles;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What keeps the program from its work, and mail that could not be sent; for leads. */
@RestController
class TroubleController {
  private final Troubles troubles;
  private final Mail mail;
  private final Permits permits;

  TroubleController(Troubles troubles, Mail mail, Permits permits) {
    this.troubles = troubles;
    this.mail = mail;
    this.permits = permits;
  }

  /** What keeps Fabulum as a whole from its work, the gravest first; for leads. */
  @GetMapping("/api/office/troubles")
  List<Troubles.Trouble> list(@AuthenticationPrincipal SignedIn me) {
    permits.require(me.id(), Act.LEAD);
    return troubles.list();
  }

  /** Mail that could not be sent, and why; for leads. */
  @GetMapping("/api/setup/mail")
  List<StuckMail> mail(@AuthenticationPrincipal SignedIn me) {
    permits.require(me.id(), Act.LEAD);
    return mail.listStuck();
  }

  /** Sends mail again that could not be sent; for leads. */
  @PostMapping("/api/setup/mail/{id}/again")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void sendAgain(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    permits.require(me.id(), Act.LEAD);
    mail.sendAgain(id);
  }
}
