package fabulum.server.customers.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.customers.CustomerFile.Field;
import fabulum.server.customers.CustomerFile.FileChange;
import fabulum.server.customers.CustomerFiles;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.CustomerNotes;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Changing what is on file of a customer. */
@RestController
@RequestMapping("/api/customers")
class CustomerFileController {
  private final CustomerFiles files;
  private final CustomerNotes notes;

  CustomerFileController(CustomerFiles files, CustomerNotes notes) {
    this.files = files;
    this.notes = notes;
  }

  /** A name. */
  record CustomerName(@NotNull(message = "A name is needed.") String name) {}

  /** The customer that was added. */
  record CustomerAdded(long id) {}

  /**
   * A field as it shall be.
   *
   * @param was what the page showed; null for nothing
   * @param now null for nothing; the id of a site
   */
  record FieldChange(@NotNull Field field, @Nullable String was, @Nullable String now) {}

  /**
   * Words as they shall be.
   *
   * @param was what the page showed; null for nothing
   * @param now null for nothing
   */
  record WordsChange(@Nullable String was, @Nullable String now) {}

  /** Words of a note. */
  record NoteWords(@NotNull(message = "Write something.") String words) {}

  /** Adds a customer of whom only the name is known. */
  @PostMapping
  CustomerAdded add(
      @AuthenticationPrincipal SignedIn me, @Valid @RequestBody CustomerName customer) {
    return new CustomerAdded(files.add(customer.name(), me.id()).value());
  }

  /** What changed of a customer, the newest first, at most 100. */
  @GetMapping("/{id}/changes")
  List<FileChange> changes(@PathVariable long id) {
    return files.listChanges(new CustomerId(id));
  }

  /** Changes a field. */
  @Problems(Kind.CHANGED_MEANWHILE)
  @PutMapping("/{id}/field")
  void change(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody FieldChange change) {
    files.change(new CustomerId(id), change.field(), change.was(), change.now(), me.id());
  }

  /** Changes an extra field. */
  @Problems(Kind.CHANGED_MEANWHILE)
  @PutMapping("/{id}/details/{kind}")
  void changeDetail(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @PathVariable long kind,
      @RequestBody WordsChange change) {
    files.changeDetail(new CustomerId(id), kind, change.was(), change.now(), me.id());
  }

  /** Adds a person of a firm. */
  @PostMapping("/{id}/contacts")
  void addContact(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody CustomerName contact) {
    files.addContact(new CustomerId(id), contact.name(), me.id());
  }

  /** Removes a person of a firm. */
  @DeleteMapping("/{id}/contacts/{contact}")
  void removeContact(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @PathVariable long contact) {
    files.removeContact(new CustomerId(id), contact, me.id());
  }

  /** Notes something about a customer. */
  @PostMapping("/{id}/notes")
  void addNote(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody NoteWords note) {
    notes.add(new CustomerId(id), note.words(), me.id());
  }

  /** Changes a note about a customer, or removes it. */
  @Problems(Kind.CHANGED_MEANWHILE)
  @PutMapping("/{id}/notes/{note}")
  void changeNote(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @PathVariable long note,
      @RequestBody WordsChange change) {
    String was = change.was() == null ? "" : change.was();
    notes.change(new CustomerId(id), note, was, change.now(), me.id());
  }
}
