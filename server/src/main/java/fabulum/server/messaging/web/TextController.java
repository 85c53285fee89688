package fabulum.server.messaging.web;

import fabulum.core.parts.Encoding;
import fabulum.core.parts.PartCount;
import fabulum.core.parts.PartCounter;
import fabulum.core.sending.Author;
import fabulum.core.sending.SendDecision;
import fabulum.server.access.StaffId;
import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Said;
import fabulum.server.messaging.Messaging;
import fabulum.server.messaging.Recipient;
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
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Answering, and what an answer costs. */
@RestController
class TextController {
  private final Messaging messaging;

  TextController(Messaging messaging) {
    this.messaging = messaging;
  }

  /**
   * An answer.
   *
   * @param reference made by the caller, once for this answer: sending it again sends nothing more
   * @param seen the newest entry that stood there when it was begun; when a colleague has answered
   *     since, nothing is sent. Empty to send it whatever stands there
   * @param again a text that was not delivered, here or in another conversation, and is sent again
   *     with this one
   */
  record AnswerRequest(
      @NotNull(message = "Write something first.") String words,
      @NotNull(message = "A reference is needed.")
          @Pattern(
              regexp = "[A-Za-z0-9-]{8,64}",
              message = "A reference has 8 to 64 letters, digits and hyphens.")
          String reference,
      @Nullable Long seen,
      @Nullable Long again) {

    Said by(StaffId writer) {
      return new Said(words, new Author.Person(writer.value()), reference, seen, again, null);
    }
  }

  /** What came of sending. */
  record AnswerResponse(int parts) {}

  /** Words to be counted. */
  record WordsRequest(
      @NotNull(message = "Words are needed.") @Size(max = 20_000, message = "That is too long.")
          String words) {}

  /**
   * What a text costs.
   *
   * @param encoding how it travels
   * @param parts billed parts; 0 for no words
   * @param units septets or UCS-2 units in all
   * @param unitsLeft units left in the last part
   * @param forcing the characters that force the more expensive encoding
   */
  record PartsResponse(
      Encoding encoding,
      int parts,
      int units,
      int unitsLeft,
      List<String> forcing,
      @Nullable PlainResponse plain) {}

  /** The same in plain wording, where that is no more expensive. */
  record PlainResponse(String words, int parts, int saved, int unitsLeft) {}

  /** Sends a text in a conversation; under one reference it is sent once. */
  @Problems({Kind.MAY_NOT_BE_SENT, Kind.SENT_WITH_OTHER_WORDS, Kind.ANSWERED_MEANWHILE})
  @PostMapping("/api/conversations/{id}/texts")
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(implementation = AnswerResponse.class)))
  ResponseEntity<?> answer(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody AnswerRequest answer) {
    SendDecision decision =
        messaging.send(Recipient.in(new ConversationId(id)), answer.by(me.id()));
    if (decision instanceof SendDecision.Allowed allowed) {
      return ResponseEntity.ok(new AnswerResponse(allowed.parts()));
    }
    return refused((SendDecision.Refused) decision);
  }

  private static ResponseEntity<ProblemDocument> refused(SendDecision.Refused refused) {
    List<FieldProblem> why =
        refused.why().stream().map(reason -> new FieldProblem("words", reason.sentence())).toList();
    Kind kind = Kind.MAY_NOT_BE_SENT;
    String detail = why.get(0).why() + " Nothing was sent; your words are kept.";
    return new ProblemDocument(kind.type(), kind.title(), kind.status(), detail, why).answer();
  }

  /** Counts the parts of a text, and names the characters that cost extra. */
  @PostMapping("/api/parts")
  PartsResponse count(@Valid @RequestBody WordsRequest text) {
    PartCount count = PartCounter.count(text.words());
    PlainResponse plain =
        count
            .plain()
            .map(p -> new PlainResponse(p.text(), p.parts(), p.saved(), p.unitsLeft()))
            .orElse(null);
    return new PartsResponse(
        count.encoding(), count.count(), count.units(), count.unitsLeft(), count.forcing(), plain);
  }
}
