package fabulum.server.live.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.live.Listener;
import fabulum.server.live.LiveMessage;
import fabulum.server.live.LiveStream;
import fabulum.server.live.Subscription;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Changes as they happen, as Server-Sent Events. */
@RestController
class LiveController {
  private static final long NO_TIMEOUT = 0;

  private final LiveStream stream;

  LiveController(LiveStream stream) {
    this.stream = stream;
  }

  /**
   * Changes as they happen, as server-sent events; with the last event id goes on where it stopped.
   */
  @GetMapping(path = "/api/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  @ApiResponse(
      responseCode = "200",
      content =
          @Content(
              mediaType = MediaType.TEXT_EVENT_STREAM_VALUE,
              schema = @Schema(implementation = LiveMessage.class)))
  SseEmitter listen(
      @AuthenticationPrincipal SignedIn me,
      @RequestParam(required = false) @Nullable String after,
      @RequestHeader(name = "Last-Event-ID", required = false) @Nullable String lastHeard) {
    SseEmitter emitter = new SseEmitter(NO_TIMEOUT);
    Subscription subscription =
        stream.listen(me, new Page(emitter), lastHeard == null ? after : lastHeard);
    emitter.onCompletion(subscription::close);
    emitter.onError(gone -> subscription.close());
    emitter.onTimeout(subscription::close);
    return emitter;
  }

  /** An open page. */
  private record Page(SseEmitter emitter) implements Listener {
    @Override
    public void tell(String position, LiveMessage message) throws IOException {
      emitter.send(SseEmitter.event().id(position).data(message, MediaType.APPLICATION_JSON));
    }

    @Override
    public void ended() {
      emitter.complete();
    }
  }
}
