package fabulum.server.presence.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ConversationId;
import fabulum.server.presence.Watchers;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Who is looking, and who is writing. */
@RestController
class WatchController {
  private final Watchers watchers;

  WatchController(Watchers watchers) {
    this.watchers = watchers;
  }

  record WatchRequest(boolean writing) {}

  @GetMapping("/api/watchers")
  List<Watchers.Watched> list(@AuthenticationPrincipal SignedIn me) {
    return watchers.list(me.id());
  }

  @PutMapping("/api/conversations/{id}/watch")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void watch(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestBody WatchRequest watch) {
    watchers.watch(new ConversationId(id), watch.writing(), me.id());
  }

  @DeleteMapping("/api/conversations/{id}/watch")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void leave(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    watchers.leave(new ConversationId(id), me.id());
  }
}
