package fabulum.server.wrongnumbers.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ConversationId;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.wrongnumbers.WrongNumbers;
import fabulum.server.wrongnumbers.WrongNumbers.WrongNumberView;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Numbers that may be wrong. */
@RestController
class WrongNumberController {
  private final WrongNumbers wrong;

  WrongNumberController(WrongNumbers wrong) {
    this.wrong = wrong;
  }

  /**
   * Who acts when a number says that it is the wrong one.
   *
   * @param byItself whether Fabulum stops texting it and asks the customer by itself; else it
   *     proposes that
   */
  record WrongNumberSetting(boolean byItself) {}

  /** What is known of the number of a conversation: whether it says that it is the wrong one. */
  @GetMapping("/api/conversations/{id}/wrong-number")
  WrongNumberView wrongNumber(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return wrong.of(new ConversationId(id), me.id());
  }

  /** No more texts to the number of a conversation; its customer is asked for the right one. */
  @Problems(Kind.CHANGED_MEANWHILE)
  @PostMapping("/api/conversations/{id}/wrong-number")
  void stopTexting(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    wrong.stop(new ConversationId(id), me.id());
  }

  /** Who acts when a number says that it is the wrong one; for leads. */
  @GetMapping("/api/setup/wrong-numbers")
  WrongNumberSetting wrongNumberSetting(@AuthenticationPrincipal SignedIn me) {
    return new WrongNumberSetting(wrong.isByItself(me.id()));
  }

  /** Lets Fabulum act by itself, or only propose; for leads. */
  @PutMapping("/api/setup/wrong-numbers")
  void setWrongNumbers(
      @AuthenticationPrincipal SignedIn me, @RequestBody WrongNumberSetting setting) {
    wrong.setByItself(setting.byItself(), me.id());
  }
}
