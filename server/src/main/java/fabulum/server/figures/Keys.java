package fabulum.server.figures;

import fabulum.core.cost.AllowanceSpan;
import fabulum.core.sentence.ReportSentence.By;
import fabulum.server.lines.LineView;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/** The keys of rows, by which sums come together. */
final class Keys {
  private final By by;
  private final Map<Long, LineView> lines;

  Keys(By by, Scope scope) {
    this.by = by;
    this.lines =
        scope.lines().stream().collect(Collectors.toMap(LineView::id, Function.identity()));
  }

  /** The key of what happened on a line and a day; of people, topics and the like their own. */
  String of(long line, LocalDate day, String own) {
    return switch (by) {
      case DAY, WEEK, MONTH -> time(by, day);
      case LINE -> String.valueOf(line);
      case SITE -> String.valueOf(line(line).siteId());
      case TEAM -> String.valueOf(line(line).teamId());
      case TOPIC, PERSON, KIND, REASON, HOUR -> own;
    };
  }

  private LineView line(long id) {
    LineView line = lines.get(id);
    if (line == null) {
      throw new IllegalStateException("Not a line of these figures: " + id);
    }
    return line;
  }

  static String time(By by, LocalDate day) {
    return switch (by) {
      case WEEK -> AllowanceSpan.WEEK.first(day).toString();
      case MONTH -> YearMonth.from(day).toString();
      default -> day.toString();
    };
  }

  /** The keys that have a row also when nothing happened, in the order of rows. */
  Set<String> always(Scope scope) {
    Set<String> keys = new LinkedHashSet<>();
    if (by.isTime()) {
      scope.first().datesUntil(scope.last().plusDays(1)).forEach(day -> keys.add(time(by, day)));
    } else if (by == By.LINE || by == By.SITE || by == By.TEAM) {
      scope.lines().forEach(line -> keys.add(of(line.id(), scope.first(), "")));
    }
    return keys;
  }
}
