package fabulum.server.figures.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.figures.Behind;
import fabulum.server.figures.BehindView;
import fabulum.server.figures.ReportView;
import fabulum.server.figures.Reports;
import fabulum.server.figures.Table;
import fabulum.server.figures.WaitingWeek;
import fabulum.server.figures.WeekView;
import fabulum.server.platform.web.CsvAnswer;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Figures of what was done. */
@RestController
@RequestMapping("/api/reports")
class ReportController {
  private final Reports reports;
  private final WaitingWeek week;
  private final Behind behind;

  ReportController(Reports reports, WaitingWeek week, Behind behind) {
    this.reports = reports;
    this.week = week;
    this.behind = behind;
  }

  /**
   * The figures that a sentence means, up to this moment. All for leads; for others their own.
   *
   * @param sentence for example {@code answer times; team 2; last 28; by topic}
   */
  @GetMapping
  ReportView report(
      @AuthenticationPrincipal SignedIn me, @RequestParam(defaultValue = "") String sentence) {
    return reports.report(Reports.read(sentence), me.id());
  }

  /** The same as a file of values: times in seconds, shares from 0 to 1. */
  @GetMapping("/csv")
  ResponseEntity<String> csv(
      @AuthenticationPrincipal SignedIn me, @RequestParam(defaultValue = "") String sentence) {
    return CsvAnswer.of("report.csv", Table.of(reports.report(Reports.read(sentence), me.id())));
  }

  /** How customers wait at each hour of the week, on the lines and days of a sentence. */
  @GetMapping("/week")
  WeekView week(
      @AuthenticationPrincipal SignedIn me, @RequestParam(defaultValue = "") String sentence) {
    return week.week(Reports.read(sentence), me.id());
  }

  /**
   * What stands behind a row, at most 100, those that took longest beyond their promise first.
   *
   * @param key of the row; empty for all
   * @param late only those that broke their promise
   */
  @GetMapping("/behind")
  BehindView behind(
      @AuthenticationPrincipal SignedIn me,
      @RequestParam(defaultValue = "") String sentence,
      @RequestParam(defaultValue = "") String key,
      @RequestParam(defaultValue = "false") boolean late) {
    return behind.behind(Reports.read(sentence), key, late, me.id());
  }

  /** Sums all days again from what is in the scripts. Reports stay as they are meanwhile. */
  @PostMapping("/again")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void sumAgain(@AuthenticationPrincipal SignedIn me) {
    reports.sumAgain(me.id());
  }
}
