package fabulum.server.messaging.web;

import fabulum.core.delivery.ClientReference;
import fabulum.core.sending.Author;
import fabulum.core.sending.Reason;
import fabulum.core.sending.SendDecision;
import fabulum.server.access.StaffId;
import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.Said;
import fabulum.server.messaging.Messaging;
import fabulum.server.messaging.Recipient;
import fabulum.server.messaging.TextsTakenBack;
import fabulum.server.messaging.TextsTakenBack.TakenBack;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.ProblemDocument;
import fabulum.server.platform.web.Problems;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Sending an answer, and taking it back. */
@RestController
class TextController {
  private final Messaging messaging;
  private final TextsTakenBack takenBack;

  TextController(Messaging messaging, TextsTakenBack takenBack) {
    this.messaging = messaging;
    this.takenBack = takenBack;
  }

  /**
   * An answer.
   *
   * @param reference made by the caller, once for this answer: sending it again sends nothing more
   * @param seen the newest entry that stood there when it was begun; when a colleague has answered
   *     since, nothing is sent. Empty to send it whatever stands there
   * @param again a text that was not delivered, here or in another conversation, and is sent again
   *     with this one
   * @param confirmed the codes of the reasons that speak against it and that its writer confirms
   * @param looked the words as the writer saw that they would leave, with what is appended; when
   *     they would leave otherwise by now, nothing is sent. Empty when they did not look
   * @param template from which its words were made; empty for none
   * @param attachments what goes with it, in order; then it may have no words
   */
  record AnswerRequest(
      @NotNull(message = "Write something first.") String words,
      @NotNull(message = "A reference is needed.")
          @Pattern(regexp = ClientReference.FORM, message = ClientReference.SAID)
          String reference,
      @Nullable Long seen,
      @Nullable Long again,
      @Nullable List<@Pattern(regexp = "[a-z-]{1,40}", message = "That is no reason.") String>
          confirmed,
      @Nullable @Size(max = 20_000, message = "That is too long.") String looked,
      @Nullable Long template,
      @Nullable @Size(max = 10, message = "One text takes 10 attachments at most.")
          List<@NotNull Long> attachments) {

    Said by(StaffId writer) {
      return new Said(
          words,
          new Author.Person(writer.value()),
          new ClientReference(reference),
          seen,
          again,
          null,
          reasons(confirmed),
          looked,
          template,
          attachments == null ? List.of() : attachments);
    }
  }

  /** A reason that this program does not know cannot speak against a text, either. */
  static Set<Reason> reasons(@Nullable List<String> confirmed) {
    return confirmed == null ? Set.of() : Reason.ofCodes(Set.copyOf(confirmed));
  }

  /**
   * What came of sending.
   *
   * @param text the entry of the text; empty when it was sent before under this reference
   * @param pauseSeconds how long from now it can be taken back; 0 when it leaves at once
   * @param waitsForLook whether it waits for a colleague's yes, and goes only then
   */
  record AnswerResponse(int parts, @Nullable Long text, long pauseSeconds, boolean waitsForLook) {}

  /** Sends a text in a conversation; under one reference it is sent once. */
  @Problems({
    Kind.MAY_NOT_BE_SENT,
    Kind.NEEDS_CONFIRMATION,
    Kind.SENT_WITH_OTHER_WORDS,
    Kind.LOOKS_DIFFERENT,
    Kind.ANSWERED_MEANWHILE,
    Kind.CHANGED_MEANWHILE
  })
  @PostMapping("/api/conversations/{id}/texts")
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(implementation = AnswerResponse.class)))
  ResponseEntity<?> answer(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody AnswerRequest answer) {
    Said said = answer.by(me.id());
    Messaging.Result result = messaging.send(Recipient.in(new ConversationId(id)), said);
    return response(result, said.confirmed());
  }

  /** What came of sending, as a caller is told. */
  static ResponseEntity<?> response(Messaging.Result result, Set<Reason> confirmed) {
    SendDecision decision = result.decision();
    return switch (decision.verdict(confirmed)) {
      case MAY_GO ->
          ResponseEntity.ok(
              new AnswerResponse(
                  decision.parts(),
                  result.text().map(EntryId::value).orElse(null),
                  result.pause().toSeconds(),
                  result.waitsForLook()));
      case NEEDS_CONFIRMATION -> stopped(Kind.NEEDS_CONFIRMATION, decision, confirmed);
      case MAY_NOT_GO -> stopped(Kind.MAY_NOT_BE_SENT, decision, confirmed);
    };
  }

  private static ResponseEntity<ProblemDocument> stopped(
      Kind kind, SendDecision decision, Set<Reason> confirmed) {
    List<FieldProblem> why =
        decision.against(confirmed).stream()
            .map(each -> new FieldProblem(each.reason().code(), each.sentence()))
            .toList();
    String detail = why.get(0).why() + " Nothing was sent; your words are kept.";
    return new ProblemDocument(kind.type(), kind.title(), kind.status(), detail, why).answer();
  }

  /**
   * A text that was taken back.
   *
   * @param conversation where its words are a draft again
   * @param words as they were typed
   */
  record TakenBackResponse(long conversation, String words) {}

  /**
   * Takes back a text of mine that has not left: everything is as if it had not been sent, and its
   * words are my draft again.
   */
  @Problems({Kind.TOO_LATE})
  @PostMapping("/api/texts/{id}/take-back")
  TakenBackResponse takeBack(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    TakenBack taken = takenBack.takeBack(new EntryId(id), me.id());
    return new TakenBackResponse(taken.conversation().value(), taken.words());
  }
}
