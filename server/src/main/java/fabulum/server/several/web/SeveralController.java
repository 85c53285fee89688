package fabulum.server.several.web;

import fabulum.core.conversation.Group;
import fabulum.core.delivery.ClientReference;
import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Moment;
import fabulum.server.inbox.InboxQuery;
import fabulum.server.inbox.ListOrder;
import fabulum.server.inbox.Sentences;
import fabulum.server.several.BatchAct;
import fabulum.server.several.BatchView;
import fabulum.server.several.Begun;
import fabulum.server.several.CheckView;
import fabulum.server.several.Selection;
import fabulum.server.several.Several;
import fabulum.server.several.SeveralDraft;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** One act on several conversations. */
@RestController
@RequestMapping("/api/several")
class SeveralController {
  private final Several several;
  private final SeveralDraft draft;

  SeveralController(Several several, SeveralDraft draft) {
    this.several = several;
    this.draft = draft;
  }

  record DraftRequest(
      @NotNull(message = "Words are needed; empty ones throw the draft away.")
          @Size(max = 4000, message = "A draft has at most 4000 characters.")
          String words,
      @NotNull(message = "A reference is needed.")
          @Pattern(regexp = ClientReference.FORM, message = ClientReference.SAID)
          String reference) {}

  /**
   * Words begun to several.
   *
   * @param begun empty for none
   */
  record DraftResponse(@Nullable Begun begun) {}

  /** The text to each that I have begun to write. */
  @GetMapping("/draft")
  DraftResponse draft(@AuthenticationPrincipal SignedIn me) {
    return new DraftResponse(draft.find(me.id()).orElse(null));
  }

  /** Keeps the text to each that I have begun to write. */
  @PutMapping("/draft")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void keepDraft(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody DraftRequest wanted) {
    draft.keep(me.id(), wanted.words(), wanted.reference());
  }

  /**
   * What is to be done with which.
   *
   * @param ids the chosen ones; not needed with a group
   * @param group all of this group that the sentence means
   * @param topicId for a topic
   * @param moment until when to set aside, and {@code at} for a time of the person's own
   * @param words of a text to each
   */
  record SeveralRequest(
      @Nullable List<Long> ids,
      @Nullable Group group,
      @Nullable String sentence,
      BatchAct.@NotNull(message = "Say what is to be done.") What what,
      @Nullable Long topicId,
      Moment.@Nullable Kind moment,
      @Nullable Instant at,
      @Nullable String words) {

    BatchAct act() {
      return new BatchAct(what, topicId, moment == null ? null : new Moment(moment, at), words);
    }

    Selection selection(SignedIn me) {
      String said = sentence == null ? "" : sentence;
      InboxQuery all =
          group == null
              ? null
              : new InboxQuery(group, ListOrder.usual(group), Sentences.read(said), me.id());
      List<Long> chosen = ids == null ? List.of() : ids;
      return new Selection(chosen.stream().map(ConversationId::new).toList(), all);
    }
  }

  /**
   * An act to begin.
   *
   * @param reference made by the caller, once for this act: beginning it again begins nothing
   */
  record BeginRequest(
      @Valid @NotNull(message = "Say what is to be done.") SeveralRequest act,
      @NotNull(message = "A reference is needed.")
          @Pattern(regexp = ClientReference.FORM, message = ClientReference.SAID)
          String reference) {}

  /**
   * What an act on several conversations would do, and which it would skip and why. Nothing is
   * done.
   */
  @PostMapping("/check")
  CheckView check(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody SeveralRequest wanted) {
    return several.check(wanted.act(), wanted.selection(me), me.id());
  }

  /** Begins an act on several conversations; begun again under its reference, it is done once. */
  @PostMapping
  BatchView begin(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody BeginRequest wanted) {
    SeveralRequest act = wanted.act();
    return several.begin(act.act(), act.selection(me), wanted.reference(), me.id());
  }

  /** How far an act on several conversations has come. */
  @GetMapping("/{id}")
  BatchView get(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return several.get(id, me.id());
  }
}
