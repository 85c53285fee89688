package fabulum.server.people.web;

import fabulum.core.access.Act;
import fabulum.server.access.AccessChange;
import fabulum.server.access.AccessRecord;
import fabulum.server.access.Permits;
import fabulum.server.accounts.SignInView;
import fabulum.server.accounts.SignIns;
import fabulum.server.accounts.SignedIn;
import fabulum.server.platform.LogPage;
import fabulum.server.platform.web.CsvAnswer;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What is kept of access: who may what, and who signed in. */
@RestController
@RequestMapping("/api/setup")
class LogController {
  private static final int A_PAGE = 100;
  private static final int A_FILE = 5_000;

  private final Permits permits;
  private final AccessRecord record;
  private final SignIns signIns;

  LogController(Permits permits, AccessRecord record, SignIns signIns) {
    this.permits = permits;
    this.record = record;
    this.signIns = signIns;
  }

  /**
   * A page of the access log: who was given or lost which right, and by whom; for leads.
   *
   * @param from the id of the last entry of the page before; 0 for the first page
   */
  @GetMapping("/record")
  List<AccessChange> record(
      @AuthenticationPrincipal SignedIn me,
      @RequestParam(defaultValue = "0") long from,
      @RequestParam(defaultValue = "NEWEST") LogPage.Order order,
      @RequestParam(defaultValue = "") String words) {
    permits.require(me.id(), Act.LEAD);
    return record.list(words, new LogPage(from, order, A_PAGE));
  }

  /** The record as a file, RFC 4180; the person who takes it must also be allowed to export. */
  @GetMapping(path = "/record.csv", produces = CsvAnswer.TYPE)
  ResponseEntity<String> recordFile(
      @AuthenticationPrincipal SignedIn me, @RequestParam(defaultValue = "") String words) {
    permits.require(me.id(), Act.LEAD);
    permits.require(me.id(), Act.EXPORT);
    List<List<String>> rows = new ArrayList<>();
    rows.add(List.of("at", "by", "about", "what", "before", "after"));
    for (AccessChange change : record.list(words, LogPage.newest(A_FILE))) {
      rows.add(
          List.of(
              change.at().toString(),
              orEmpty(change.by()),
              change.about(),
              change.what(),
              orEmpty(change.before()),
              orEmpty(change.after())));
    }
    return CsvAnswer.of("record.csv", rows);
  }

  private static String orEmpty(@Nullable String words) {
    return words == null ? "" : words;
  }

  /**
   * A page of all attempts to sign in; for leads.
   *
   * @param from the id of the last entry of the page before; 0 for the first page
   */
  @GetMapping("/sign-ins")
  List<SignInView> signIns(
      @AuthenticationPrincipal SignedIn me,
      @RequestParam(defaultValue = "0") long from,
      @RequestParam(defaultValue = "NEWEST") LogPage.Order order) {
    permits.require(me.id(), Act.LEAD);
    return signIns.record(new LogPage(from, order, A_PAGE));
  }
}
