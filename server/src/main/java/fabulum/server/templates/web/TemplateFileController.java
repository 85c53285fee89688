package fabulum.server.templates.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.platform.web.CsvAnswer;
import fabulum.server.templates.TemplateFiles;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Templates out of files and into files. */
@RestController
@RequestMapping("/api/templates")
class TemplateFileController {
  private final TemplateFiles files;

  TemplateFileController(TemplateFiles files) {
    this.files = files;
  }

  /** The templates that I see, as values between commas; an import reads them again. */
  @GetMapping(path = "/export/csv", produces = CsvAnswer.TYPE)
  ResponseEntity<String> exportCsv(@AuthenticationPrincipal SignedIn me) {
    return CsvAnswer.of("templates.csv", files.values(me.id()));
  }

  /** The templates that I see, as JSON objects; an import reads them again. */
  @GetMapping(path = "/export/json", produces = MediaType.APPLICATION_JSON_VALUE)
  ResponseEntity<List<Map<String, String>>> exportJson(@AuthenticationPrincipal SignedIn me) {
    List<List<String>> rows = files.values(me.id());
    List<Map<String, String>> objects =
        rows.subList(1, rows.size()).stream().map(row -> object(rows.get(0), row)).toList();
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("templates.json").build().toString())
        .body(objects);
  }

  private static Map<String, String> object(List<String> titles, List<String> row) {
    Map<String, String> object = new LinkedHashMap<>();
    for (int i = 0; i < titles.size(); i++) {
      object.put(titles.get(i), row.get(i));
    }
    return object;
  }

  /** Says what would become of a file (CSV or JSON); nothing is changed. */
  @PostMapping(path = "/import/preview", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  TemplateFiles.Taken previewTemplates(
      @AuthenticationPrincipal SignedIn me, @RequestPart MultipartFile file) throws IOException {
    return files.preview(file.getBytes(), me.id());
  }

  /** Takes in the good rows of a file (CSV or JSON). */
  @PostMapping(path = "/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  TemplateFiles.Taken importTemplates(
      @AuthenticationPrincipal SignedIn me, @RequestPart MultipartFile file) throws IOException {
    return files.take(file.getBytes(), me.id());
  }
}
