package fabulum.server.writing.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.writing.ToDo;
import fabulum.server.writing.ToDos;
import jakarta.validation.Valid;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What notes ask for. */
@RestController
class ToDoController {
  private final ToDos toDos;

  ToDoController(ToDos toDos) {
    this.toDos = toDos;
  }

  /** What is to be done in a conversation, the soonest first. */
  @GetMapping("/api/conversations/{id}/to-dos")
  List<ToDo> toDos(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return toDos.list(new ConversationId(id), me.id());
  }

  /** Asks another person, or for another time. */
  @Problems({Kind.CHANGED_MEANWHILE})
  @PutMapping("/api/to-dos/{note}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void changeToDo(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long note,
      @Valid @RequestBody NoteController.ToDoRequest wanted) {
    toDos.change(new EntryId(note), wanted.wanted(), me.id());
  }

  /** Ticks off what was to be done. */
  @PostMapping("/api/to-dos/{note}/done")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void tick(@AuthenticationPrincipal SignedIn me, @PathVariable long note) {
    toDos.tick(new EntryId(note), me.id());
  }

  /** Takes back that it was ticked off. */
  @DeleteMapping("/api/to-dos/{note}/done")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void untick(@AuthenticationPrincipal SignedIn me, @PathVariable long note) {
    toDos.untick(new EntryId(note), me.id());
  }
}
