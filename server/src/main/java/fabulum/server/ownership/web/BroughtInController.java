package fabulum.server.ownership.web;

import fabulum.server.access.StaffId;
import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ConversationId;
import fabulum.server.ownership.BroughtIn;
import fabulum.server.people.StaffView;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Colleagues who are brought into a conversation. */
@RestController
@RequestMapping("/api/conversations/{id}/guests")
class BroughtInController {
  private final BroughtIn broughtIn;

  BroughtInController(BroughtIn broughtIn) {
    this.broughtIn = broughtIn;
  }

  /** Colleagues who could be brought in. */
  @GetMapping
  List<StaffView> possible(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return broughtIn.possible(new ConversationId(id), me.id());
  }

  /**
   * What a colleague may who is brought in.
   *
   * @param mayAnswer whether they may text the customer as well as write notes
   */
  record GuestRequest(boolean mayAnswer) {}

  /** Brings a colleague in until the conversation is done, or changes what they may. */
  @PutMapping("/{staff}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void bringIn(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @PathVariable long staff,
      @RequestBody GuestRequest wanted) {
    broughtIn.bringIn(new ConversationId(id), new StaffId(staff), wanted.mayAnswer(), me.id());
  }

  /** Lets a colleague out again. */
  @DeleteMapping("/{staff}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void letOut(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @PathVariable long staff) {
    broughtIn.letOut(new ConversationId(id), new StaffId(staff), me.id());
  }
}
