package fabulum.server.setup;

import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.conversations.TopicMerging;
import fabulum.server.people.Teams;
import fabulum.server.topics.TopicId;
import fabulum.server.topics.TopicSetup;
import fabulum.server.topics.TopicView;
import fabulum.server.topics.Topics;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Sets up the topics of teams. Each change is kept with who made it and when. */
@Service
public class TopicSetUp {
  private final Topics topics;
  private final Teams teams;
  private final TopicMerging merging;
  private final ChangeBook changes;
  private final SetUpChanges all;

  TopicSetUp(
      Topics topics, Teams teams, TopicMerging merging, ChangeBook changes, SetUpChanges all) {
    this.topics = topics;
    this.teams = teams;
    this.merging = merging;
    this.changes = changes;
    this.all = all;
  }

  /** Adds a topic to a team's list. */
  public Outcome addTopic(TeamId team, TopicSetup wanted, StaffId by) {
    return all.carryOut(
        by,
        () -> {
          TopicId id = topics.add(team, wanted);
          changes.note(by, "topic " + wanted.name().strip(), "added", null, teams.get(team).name());
          return id.value();
        });
  }

  /**
   * Renames, recolours, retires or brings back a topic, or changes its promise.
   *
   * @param seen the version it was changed from; empty for whatever it is now
   */
  public Outcome changeTopic(TopicId id, TopicSetup wanted, @Nullable Long seen, StaffId by) {
    return all.carryOut(
        by,
        () -> {
          TopicView before = topics.present(id);
          topics.change(id, wanted, seen);
          changes.noteAll(by, "topic " + before.name(), said(before), said(topics.present(id)));
          return id.value();
        });
  }

  private static Map<String, String> said(TopicView topic) {
    return SettingText.of(
        new TopicSetup(topic.name(), topic.colour(), topic.promiseMinutes(), topic.retired()));
  }

  /** Lets one topic stand for another everywhere, and retires that one. */
  public Outcome mergeTopic(TopicId from, TopicId into, StaffId by) {
    return all.carryOut(
        by,
        () -> {
          String gone = topics.present(from).name();
          String stays = topics.present(into).name();
          topics.merge(from, into);
          int had = merging.mergeTopic(from.value(), into.value());
          changes.note(by, "topic " + gone, "merged", had + " conversations", stays);
          return into.value();
        });
  }
}
