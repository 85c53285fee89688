package fabulum.server.figures;

import fabulum.core.access.Act;
import fabulum.core.sentence.ReportSentence;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.lines.Lines;
import fabulum.server.mail.Mail;
import fabulum.server.people.People;
import fabulum.server.platform.DiskReserve;
import fabulum.server.platform.Problem;
import fabulum.server.sentences.SavedSentences;
import fabulum.server.sentences.SavedSentences.Mailed;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Sends reports by mail, once each week: on Monday at six, or when the program next runs in that
 * week. Those asked for later begin with the next Monday.
 */
@Component
class ReportMail {
  private static final Logger log = LoggerFactory.getLogger(ReportMail.class);
  private static final LocalTime SIX = LocalTime.of(6, 0);

  private final SavedSentences sentences;
  private final Reports reports;
  private final Lines lines;
  private final People people;
  private final Permits permits;
  private final Mail mail;
  private final ReportMailing when;

  ReportMail(
      SavedSentences sentences,
      Reports reports,
      Lines lines,
      People people,
      Permits permits,
      Mail mail,
      ReportMailing when) {
    this.sentences = sentences;
    this.reports = reports;
    this.lines = lines;
    this.people = people;
    this.permits = permits;
    this.mail = mail;
    this.when = when;
  }

  /** When mail may be sent. */
  @Component
  static class ReportMailing {
    private final DiskReserve reserve;
    private final Clock clock;

    ReportMailing(DiskReserve reserve, Clock clock) {
      this.reserve = reserve;
      this.clock = clock;
    }

    /** The last Monday at six; empty while nothing may be written. */
    Optional<Instant> monday(ZoneId zone) {
      Instant now = clock.instant();
      LocalDate today = LocalDate.ofInstant(now, zone);
      LocalDate monday = today.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
      Instant six = monday.atTime(SIX).atZone(zone).toInstant();
      Instant last =
          six.isAfter(now) ? monday.minusWeeks(1).atTime(SIX).atZone(zone).toInstant() : six;
      return reserve.isStopped() ? Optional.empty() : Optional.of(last);
    }
  }

  @Scheduled(initialDelay = 60, fixedDelay = 60, timeUnit = TimeUnit.SECONDS)
  void sendDue() {
    when.monday(lines.zone())
        .ifPresent(monday -> {
          for (Mailed each : sentences.listMailed()) {
            if (each.since().isBefore(monday)) {
              send(each, LocalDate.ofInstant(monday, lines.zone()));
            }
          }
        });
  }

  private void send(Mailed wanted, LocalDate monday) {
    StaffId maker = wanted.maker();
    String reference = "report-" + wanted.id() + "-" + monday;
    Optional<String> address = people.findEmail(maker);
    if (address.isEmpty() || !permits.of(maker).may(Act.LEAD) || mail.isKnown(reference)) {
      return;
    }
    try {
      ReportView report = reports.report(ReportSentence.read(wanted.said()), maker);
      mail.send(address.get(), "Report: " + wanted.name(), Table.words(report), reference);
    } catch (Problem | IllegalArgumentException noMore) {
      log.info("The report {} was not mailed: {}", wanted.id(), noMore.getMessage());
    }
  }
}
