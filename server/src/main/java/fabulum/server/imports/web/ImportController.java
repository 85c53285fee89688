package fabulum.server.imports.web;

import fabulum.core.imports.Subject;
import fabulum.server.accounts.SignedIn;
import fabulum.server.imports.ImportChoice;
import fabulum.server.imports.ImportView;
import fabulum.server.imports.Imports;
import fabulum.server.imports.Imports.Preview;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.CsvAnswer;
import fabulum.server.platform.web.Problems;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Customers, appointments, jobs and texts of the time before, out of files; for leads. */
@RestController
@RequestMapping("/api/imports")
class ImportController {
  private final Imports imports;

  ImportController(Imports imports) {
    this.imports = imports;
  }

  /** Hands in a file (CSV, vCard, iCalendar or JSON) and says what would become of it. */
  @PostMapping(consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  Preview handIn(@AuthenticationPrincipal SignedIn me, @RequestPart MultipartFile file)
      throws IOException {
    String name = file.getOriginalFilename();
    return imports.handIn(name == null ? "file" : name, file.getBytes(), me.id());
  }

  /** The imports there were, the newest first. */
  @GetMapping
  List<ImportView> imports(@AuthenticationPrincipal SignedIn me) {
    return imports.list(me.id());
  }

  /** An example of a file about a subject. */
  @GetMapping(path = "/example.csv", produces = CsvAnswer.TYPE)
  ResponseEntity<String> example(@RequestParam(defaultValue = "CUSTOMERS") Subject subject) {
    return CsvAnswer.of(
        subject.name().toLowerCase(Locale.ROOT) + "-example.csv",
        switch (subject) {
          case CUSTOMERS -> CUSTOMERS;
          case APPOINTMENTS -> APPOINTMENTS;
          case JOBS -> JOBS;
          case TEXTS -> TEXTS;
        });
  }

  private static final List<List<String>> CUSTOMERS =
      List.of(
          List.of("Name", "Mobile", "Home phone", "E-mail", "Site", "Kind", "Id", "Note"),
          List.of(
              "Greta Moss",
              "(920) 555-0134",
              "",
              "greta@post.example",
              "",
              "Regular",
              "K-1001",
              "Texts, never calls."));

  private static final List<List<String>> APPOINTMENTS =
      List.of(
          List.of("Id", "What", "Starts", "Ends", "Place", "Customer", "Phone"),
          List.of(
              "A-17",
              "Survey",
              "2026-06-09 14:00",
              "2026-06-09 15:00",
              "North Dock",
              "Greta Moss",
              "(920) 555-0134"));

  private static final List<List<String>> JOBS =
      List.of(
          List.of("Number", "What", "How far", "State", "Opened", "Customer", "Customer id"),
          List.of(
              "J-204",
              "New bilge pump",
              "part ordered",
              "open",
              "2026-06-02",
              "Greta Moss",
              "K-1001"));

  private static final List<List<String>> TEXTS =
      List.of(
          List.of("Line", "Number", "Time", "Direction", "Words", "By"),
          List.of(
              "Dock office",
              "(920) 555-0134",
              "2026-06-01 09:12",
              "received",
              "Is the lift free?",
              ""),
          List.of(
              "Dock office",
              "(920) 555-0134",
              "2026-06-01 09:20",
              "sent",
              "Yes, on Thursday.",
              "Hattie Brook"));

  /** How far an import is. */
  @GetMapping("/{id}")
  ImportView imported(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return imports.find(id, me.id());
  }

  /** What would become of a file, read as it is chosen. */
  @Problems({Kind.CHANGED_MEANWHILE, Kind.ENDED})
  @PostMapping("/{id}/preview")
  Preview previewImport(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestBody ImportChoice choice) {
    return imports.preview(id, choice, me.id());
  }

  /** Begins to take a file in. */
  @Problems({Kind.CHANGED_MEANWHILE, Kind.ENDED})
  @PostMapping("/{id}/run")
  ImportView run(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestBody ImportChoice choice) {
    return imports.run(id, choice, me.id());
  }

  /** Stops an import before it is through, or gives up a file; nothing of it is kept. */
  @PostMapping("/{id}/cancel")
  void cancel(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    imports.cancel(id, me.id());
  }

  /** Takes an import back. */
  @PostMapping("/{id}/undo")
  ImportView undoImport(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return imports.undo(id, me.id());
  }
}
