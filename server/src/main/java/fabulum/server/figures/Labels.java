package fabulum.server.figures;

import fabulum.core.report.DaySums;
import fabulum.core.report.Fact;
import fabulum.core.sentence.ReportSentence.By;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.lines.SiteView;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.people.TeamView;
import fabulum.server.people.Teams;
import fabulum.server.topics.TopicView;
import fabulum.server.topics.Topics;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** How the rows of reports are named. */
@Component
class Labels {
  private final Lines lines;
  private final Teams teams;
  private final Topics topics;
  private final People people;

  Labels(Lines lines, Teams teams, Topics topics, People people) {
    this.lines = lines;
    this.teams = teams;
    this.topics = topics;
    this.people = people;
  }

  /** The names of all rows there can be; a time, an hour or a reason names itself. */
  Map<String, String> of(By by) {
    return switch (by) {
      case LINE ->
          lines.list().stream().collect(Collectors.toMap(line -> key(line.id()), LineView::name));
      case SITE ->
          lines.listSites().stream()
              .collect(Collectors.toMap(site -> key(site.id()), SiteView::name));
      case TEAM ->
          teams.list().stream().collect(Collectors.toMap(team -> key(team.id()), TeamView::name));
      case TOPIC -> topics();
      case PERSON -> people();
      case KIND ->
          Map.of(
              CostKind.BY_HAND.name(), "sent by hand",
              CostKind.SEVERAL.name(), "sent to several at once",
              CostKind.AUTOMATIC.name(), "sent automatically",
              CostKind.RECEIVED.name(), "received");
      case DAY, WEEK, MONTH, HOUR, REASON -> Map.of();
    };
  }

  private Map<String, String> topics() {
    Map<Long, String> teamNames =
        teams.list().stream().collect(Collectors.toMap(TeamView::id, TeamView::name));
    Map<String, Long> called =
        topics.list().stream()
            .collect(Collectors.groupingBy(TopicView::name, Collectors.counting()));
    Map<String, String> names = new HashMap<>();
    for (TopicView topic : topics.list()) {
      boolean alone = called.getOrDefault(topic.name(), 0L) < 2;
      String team = teamNames.getOrDefault(topic.teamId(), "");
      names.put(key(topic.id()), alone ? topic.name() : topic.name() + " (" + team + ")");
    }
    names.put(key(DaySums.NO_TOPIC), "no topic");
    return names;
  }

  private Map<String, String> people() {
    Map<String, String> names =
        people.list().stream().collect(Collectors.toMap(one -> key(one.id()), StaffView::name));
    names.put(key(Fact.NOBODY), "Fabulum");
    return names;
  }

  private static String key(long id) {
    return String.valueOf(id);
  }
}
