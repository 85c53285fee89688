package fabulum.server.writing.web;

import fabulum.core.delivery.ClientReference;
import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.writing.Draft;
import fabulum.server.writing.Drafts;
import fabulum.server.writing.NoteBefore;
import fabulum.server.writing.Notes;
import fabulum.server.writing.Paper;
import fabulum.server.writing.ToDo;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Notes, and drafts of everything. */
@RestController
@RequestMapping("/api/conversations/{id}")
class NoteController {
  private final Notes notes;
  private final Drafts drafts;

  NoteController(Notes notes, Drafts drafts) {
    this.notes = notes;
    this.drafts = drafts;
  }

  /**
   * A note.
   *
   * @param reference made by the caller, once for this note: adding it again adds nothing
   * @param toDo what it asks for: who is to do it and when; empty for nothing
   */
  record NoteRequest(
      @NotBlank(message = "Write something first.")
          @Size(max = 1600, message = "A note has at most 1600 characters.")
          String words,
      @NotNull(message = "A reference is needed.")
          @Pattern(regexp = ClientReference.FORM, message = ClientReference.SAID)
          String reference,
      @Nullable ToDoRequest toDo) {}

  /**
   * Who is to do something, and when.
   *
   * @param at in the future
   */
  record ToDoRequest(long staff, @NotNull(message = "Choose a time.") Instant at) {
    ToDo.Wanted wanted() {
      return new ToDo.Wanted(staff, at);
    }
  }

  /** What a note says from now on. */
  record NoteWords(
      @NotBlank(message = "Write something first.")
          @Size(max = 1600, message = "A note has at most 1600 characters.")
          String words) {}

  /** Adds a note for the team; the person it names is told. */
  @Problems({Kind.SENT_WITH_OTHER_WORDS})
  @PostMapping("/notes")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void note(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody NoteRequest note) {
    ToDoRequest toDo = note.toDo();
    notes.add(
        new ConversationId(id),
        note.words(),
        toDo == null ? null : toDo.wanted(),
        note.reference(),
        me.id());
  }

  /** Changes a note of mine; what it said before is kept. */
  @PutMapping("/notes/{note}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void rewriteNote(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @PathVariable long note,
      @Valid @RequestBody NoteWords wanted) {
    notes.rewrite(new ConversationId(id), new EntryId(note), wanted.words(), me.id());
  }

  /** Withdraws a note of mine; what it said is kept out of sight. */
  @DeleteMapping("/notes/{note}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void withdrawNote(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @PathVariable long note) {
    notes.withdraw(new ConversationId(id), new EntryId(note), me.id());
  }

  /** What a note said before. */
  @GetMapping("/notes/{note}/trace")
  List<NoteBefore> trace(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @PathVariable long note) {
    return notes.trace(new ConversationId(id), new EntryId(note), me.id());
  }

  /**
   * Words begun.
   *
   * @param seen the newest entry that stood there when they were begun
   * @param reference under which they will be sent
   * @param again the text that was not delivered and that they replace
   * @param template from which they were made
   * @param templateVersion the version of that template
   */
  record DraftRequest(
      @NotNull(message = "Words are needed; empty ones throw the draft away.")
          @Size(max = 4000, message = "A draft has at most 4000 characters.")
          String words,
      @Nullable Long seen,
      @Nullable @Pattern(regexp = ClientReference.FORM, message = ClientReference.SAID)
          String reference,
      @Nullable Long again,
      @Nullable Long template,
      @Nullable Long templateVersion) {

    Draft on(Paper paper) {
      return new Draft(paper, words, seen, reference, again, template, templateVersion);
    }
  }

  /** Keeps what I have begun to write in a conversation; no words throw it away. */
  @PutMapping("/drafts/{paper}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void keepDraft(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @PathVariable Paper paper,
      @Valid @RequestBody DraftRequest draft) {
    drafts.keep(new ConversationId(id), draft.on(paper), me.id());
  }
}
