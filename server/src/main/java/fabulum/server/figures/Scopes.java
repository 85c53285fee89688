package fabulum.server.figures;

import fabulum.core.access.Act;
import fabulum.core.access.Sight;
import fabulum.core.sentence.ReportSentence;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.figures.store.FigureMapper;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.lines.Sights;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import org.springframework.stereotype.Component;

/** Which lines and days sentences mean, and who may know. */
@Component
class Scopes {
  private final FigureMapper rows;
  private final Lines lines;
  private final Permits permits;
  private final Sights sights;
  private final Clock clock;

  Scopes(FigureMapper rows, Lines lines, Permits permits, Sights sights, Clock clock) {
    this.sights = sights;
    this.rows = rows;
    this.lines = lines;
    this.permits = permits;
    this.clock = clock;
  }

  /** Everyone may see their own figures; those of others are for leads. */
  void requireMayKnow(ReportSentence sentence, StaffId asking) {
    boolean own = sentence.person().isPresent() && sentence.person().getAsLong() == asking.value();
    permits.require(asking, own ? Act.WORK : Act.LEAD);
  }

  void requireLead(StaffId asking) {
    permits.require(asking, Act.LEAD);
  }

  /** The lines and days of a sentence, as far as the person who asks sees the lines. */
  Scope of(ReportSentence sentence, StaffId asking) {
    Instant first = rows.findFirst();
    LocalDate today = today();
    LocalDate earliest =
        first == null ? today : LocalDate.ofInstant(first, ZoneOffset.UTC).minusDays(1);
    return Scope.of(sentence, linesOf(asking), today, earliest);
  }

  /** The lines a person sees. */
  List<LineView> linesOf(StaffId who) {
    Sight sight = sights.of(who);
    return lines.list().stream().filter(line -> sight.seesLine(line.id())).toList();
  }

  Instant now() {
    return clock.instant();
  }

  /** The latest day it is on any line. */
  LocalDate today() {
    return Scope.today(lines.list(), clock.instant());
  }
}
