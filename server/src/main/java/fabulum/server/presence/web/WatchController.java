package fabulum.server.presence.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ConversationId;
import fabulum.server.presence.Watchers;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
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

  /** What someone does at a conversation. */
  record WatchRequest(boolean writing) {}

  /** Who is at which conversation now, of those I see. */
  @GetMapping("/api/watchers")
  List<Watchers.Watched> list(@AuthenticationPrincipal SignedIn me) {
    return watchers.list(me.id());
  }

  /**
   * Being there.
   *
   * @param readUpTo the time of the newest entry that was seen at an earlier visit; empty when it
   *     was never opened
   */
  record WatchResponse(@Nullable Instant readUpTo) {}

  /** Says that I am at a conversation, reading or writing; to be said again at least every 10 s. */
  @PutMapping("/api/conversations/{id}/watch")
  WatchResponse watch(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestBody WatchRequest watch) {
    return new WatchResponse(
        watchers.watch(new ConversationId(id), watch.writing(), me.id()).orElse(null));
  }

  /** Says that I have left a conversation. */
  @DeleteMapping("/api/conversations/{id}/watch")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void leave(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    watchers.leave(new ConversationId(id), me.id());
  }
}
