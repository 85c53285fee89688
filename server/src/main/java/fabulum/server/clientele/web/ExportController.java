package fabulum.server.clientele.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.clientele.CustomerExport;
import fabulum.server.clientele.CustomerPlace;
import fabulum.server.platform.web.CsvAnswer;
import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Customers in open formats, as a sentence means them; for those who may export. */
@RestController
@RequestMapping("/api/customers/export")
class ExportController {
  private static final String CARDS = "text/vcard";
  private static final String CALENDAR = "text/calendar";

  private final CustomerExport export;

  ExportController(CustomerExport export) {
    this.export = export;
  }

  /** As values between commas; an import reads them again. */
  @GetMapping(path = "/csv", produces = CsvAnswer.TYPE)
  ResponseEntity<String> csv(
      @AuthenticationPrincipal SignedIn me, @RequestParam(defaultValue = "") String sentence) {
    return CsvAnswer.of("customers.csv", export.values(CustomerPlace.read(sentence), me.id()));
  }

  /** As vCards. */
  @GetMapping(path = "/vcf", produces = CARDS)
  ResponseEntity<String> vcf(
      @AuthenticationPrincipal SignedIn me, @RequestParam(defaultValue = "") String sentence) {
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "vcard", StandardCharsets.UTF_8))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("customers.vcf").build().toString())
        .body(export.cards(CustomerPlace.read(sentence), me.id()));
  }

  /** Their jobs, as values between commas. */
  @GetMapping(path = "/jobs.csv", produces = CsvAnswer.TYPE)
  ResponseEntity<String> jobs(
      @AuthenticationPrincipal SignedIn me, @RequestParam(defaultValue = "") String sentence) {
    return CsvAnswer.of("jobs.csv", export.jobs(CustomerPlace.read(sentence), me.id()));
  }

  /** Their appointments, as a calendar; an import reads it again. */
  @GetMapping(path = "/appointments.ics", produces = CALENDAR)
  ResponseEntity<String> appointments(
      @AuthenticationPrincipal SignedIn me, @RequestParam(defaultValue = "") String sentence) {
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "calendar", StandardCharsets.UTF_8))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("appointments.ics").build().toString())
        .body(export.calendar(CustomerPlace.read(sentence), me.id()));
  }
}
