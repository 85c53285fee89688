package fabulum.server.messaging.web;

import fabulum.core.delivery.ClientReference;
import fabulum.core.parts.Encoding;
import fabulum.core.parts.PartCount;
import fabulum.core.parts.PartCounter;
import fabulum.core.sending.Author;
import fabulum.core.sending.Reason;
import fabulum.core.sending.SendDecision;
import fabulum.core.sending.SendDecision.Verdict;
import fabulum.core.sending.Severity;
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
import fabulum.server.sending.Decisions.Wanted;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
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
   * @param confirmed the codes of the reasons that speak against it and that its writer confirms
   */
  record AnswerRequest(
      @NotNull(message = "Write something first.") String words,
      @NotNull(message = "A reference is needed.")
          @Pattern(regexp = ClientReference.FORM, message = ClientReference.SAID)
          String reference,
      @Nullable Long seen,
      @Nullable Long again,
      @Nullable List<@Pattern(regexp = "[a-z-]{1,40}", message = "That is no reason.") String>
          confirmed) {

    Said by(StaffId writer) {
      return new Said(
          words,
          new Author.Person(writer.value()),
          new ClientReference(reference),
          seen,
          again,
          null,
          reasons());
    }

    /** A reason that this program does not know cannot speak against a text, either. */
    private Set<Reason> reasons() {
      Set<String> codes = confirmed == null ? Set.of() : Set.copyOf(confirmed);
      return Arrays.stream(Reason.values())
          .filter(reason -> codes.contains(reason.code()))
          .collect(Collectors.toUnmodifiableSet());
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
  @Problems({
    Kind.MAY_NOT_BE_SENT,
    Kind.NEEDS_CONFIRMATION,
    Kind.SENT_WITH_OTHER_WORDS,
    Kind.ANSWERED_MEANWHILE
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
    SendDecision decision = messaging.send(Recipient.in(new ConversationId(id)), said);
    Verdict verdict = decision.verdict(said.confirmed());
    return switch (verdict) {
      case MAY_GO -> ResponseEntity.ok(new AnswerResponse(decision.parts()));
      case NEEDS_CONFIRMATION -> stopped(Kind.NEEDS_CONFIRMATION, decision, said);
      case MAY_NOT_GO -> stopped(Kind.MAY_NOT_BE_SENT, decision, said);
    };
  }

  private static ResponseEntity<ProblemDocument> stopped(
      Kind kind, SendDecision decision, Said said) {
    List<FieldProblem> why =
        decision.against(said.confirmed()).stream()
            .map(each -> new FieldProblem(each.reason().code(), each.sentence()))
            .toList();
    String detail = why.get(0).why() + " Nothing was sent; your words are kept.";
    return new ProblemDocument(kind.type(), kind.title(), kind.status(), detail, why).answer();
  }

  /**
   * What speaks against a text, and what it costs.
   *
   * @param words as they are written so far
   * @param reference under which they are sent, so that an attempt whose answer got lost does not
   *     speak against them
   */
  record CheckRequest(
      @NotNull(message = "Words are needed.") @Size(max = 20_000, message = "That is too long.")
          String words,
      @Nullable @Pattern(regexp = ClientReference.FORM, message = ClientReference.SAID)
          String reference) {}

  /**
   * What speaks against a text, and what it costs.
   *
   * @param verdict what comes of it with nothing confirmed
   * @param objections what speaks against it, the weightiest kinds first
   */
  record CheckResponse(PartsResponse parts, Verdict verdict, List<ObjectionResponse> objections) {}

  /**
   * A reason that speaks against a text.
   *
   * @param code stable; to be given back to confirm it
   * @param severity how much it weighs
   * @param sentence what a person reads
   */
  record ObjectionResponse(String code, Severity severity, String sentence) {}

  /** Says what speaks against a text in a conversation and what it costs, while it is written. */
  @PostMapping("/api/conversations/{id}/texts/check")
  CheckResponse check(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody CheckRequest text) {
    SendDecision decision =
        messaging.check(
            new ConversationId(id),
            new Wanted(text.words(), new Author.Person(me.id().value()), text.reference()));
    return new CheckResponse(
        parts(text.words()),
        decision.verdict(),
        decision.objections().stream()
            .map(each ->
                new ObjectionResponse(each.reason().code(), each.severity(), each.sentence()))
            .toList());
  }

  /** Counts the parts of a text, and names the characters that cost extra. */
  @PostMapping("/api/parts")
  PartsResponse count(@Valid @RequestBody WordsRequest text) {
    return parts(text.words());
  }

  private static PartsResponse parts(String words) {
    PartCount count = PartCounter.count(words);
    PlainResponse plain =
        count
            .plain()
            .map(p -> new PlainResponse(p.text(), p.parts(), p.saved(), p.unitsLeft()))
            .orElse(null);
    return new PartsResponse(
        count.encoding(), count.count(), count.units(), count.unitsLeft(), count.forcing(), plain);
  }
}
