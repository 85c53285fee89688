package fabulum.server.messaging.web;

import fabulum.core.sending.Reason;
import fabulum.server.accounts.SignedIn;
import fabulum.server.attachments.AttachmentView;
import fabulum.server.conversations.ConversationId;
import fabulum.server.messaging.Approving;
import fabulum.server.messaging.Approving.Approval;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.writing.SecondLook;
import fabulum.server.writing.SecondLooks;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Texts that wait for a second look. */
@RestController
class SecondLookController {
  private final SecondLooks looks;
  private final Approving approving;

  SecondLookController(SecondLooks looks, Approving approving) {
    this.looks = looks;
    this.approving = approving;
  }

  /**
   * A text that waits.
   *
   * @param staff who wrote it
   * @param words as they were typed
   * @param attachments what is to go with them
   */
  record WaitingTextResponse(
      long id, long staff, String words, Instant askedAt, List<AttachmentView> attachments) {
    static WaitingTextResponse of(SecondLook look, List<AttachmentView> attachments) {
      return new WaitingTextResponse(
          look.id(), look.staff(), look.words(), look.askedAt(), attachments);
    }
  }

  /** The texts that wait for a second look in a conversation, the longest first. */
  @GetMapping("/api/conversations/{id}/second-looks")
  List<WaitingTextResponse> secondLooks(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    List<SecondLook> waiting = looks.list(new ConversationId(id), me.id());
    Map<Long, List<AttachmentView>> attached = looks.attachmentsOf(waiting);
    return waiting.stream()
        .map(look -> WaitingTextResponse.of(look, attached.getOrDefault(look.id(), List.of())))
        .toList();
  }

  /**
   * A yes.
   *
   * @param words as they are to go
   * @param seen the newest entry that stood there
   * @param confirmed the codes of the reasons that speak against it and are confirmed
   */
  record ApproveRequest(
      @NotNull(message = "Write something first.") String words,
      @Nullable Long seen,
      @Nullable List<@Pattern(regexp = "[a-z-]{1,40}", message = "That is no reason.") String>
          confirmed) {}

  /** Sends a text that waits, in its writer's name and with the words as they now are. */
  @Problems({
    Kind.MAY_NOT_BE_SENT,
    Kind.NEEDS_CONFIRMATION,
    Kind.ANSWERED_MEANWHILE,
    Kind.CHANGED_MEANWHILE
  })
  @PostMapping("/api/second-looks/{id}/approve")
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(implementation = TextController.AnswerResponse.class)))
  ResponseEntity<?> approve(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody ApproveRequest yes) {
    Set<Reason> confirmed = TextController.reasons(yes.confirmed());
    Approval approval = new Approval(yes.words(), yes.seen(), confirmed);
    return TextController.response(approving.approve(id, approval, me.id()), confirmed);
  }

  /** A word to the writer. */
  record ReturnRequest(@NotNull(message = "Say why.") String why) {}

  /** Returns a text that waits to its writer: its words are their draft again. */
  @Problems({Kind.CHANGED_MEANWHILE})
  @PostMapping("/api/second-looks/{id}/return")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void returnToWriter(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody ReturnRequest wanted) {
    looks.returnToWriter(id, wanted.why(), me.id());
  }

  /** Takes back a text of mine that waits: its words are my draft again. */
  @Problems({Kind.CHANGED_MEANWHILE})
  @PostMapping("/api/second-looks/{id}/take-back")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeBackWaiting(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    looks.takeBack(id, me.id());
  }
}
