package fabulum.server.inbox.store;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.conversation.Group;
import fabulum.server.conversations.SightColumns;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.OnSharedProgram;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.apache.ibatis.mapping.BoundSql;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.mapping.ParameterMapping;
import org.apache.ibatis.session.SqlSessionFactory;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** The text of a list, which is remembered for all who ask for one of the same shape. */
@OnSharedProgram
class WalkTextTest {
  private final MappedStatement statement;

  WalkTextTest(Fabulum fabulum) {
    this.statement =
        fabulum
            .context
            .getBean(SqlSessionFactory.class)
            .getConfiguration()
            .getMappedStatement(InboxMapper.class.getName() + ".listRows");
  }

  @Test
  void whateverWasAskedBeforeTheTextBindsAllThatIsAskedAndNothingElse() {
    for (ChoiceRow choice : choices()) {
      for (SortRow order : SortRow.values()) {
        Stretch first = Stretch.first(Group.OUR_TURN, order, 50);
        for (Stretch stretch : List.of(first, first.after(Instant.EPOCH, 7))) {
          BoundSql text = statement.getBoundSql(Map.of("choice", choice, "stretch", stretch.to(9)));
          assertThat(bound(text)).as(choice + " " + stretch).isEqualTo(expected(choice, stretch));
          assertThat(text.getSql()).contains("c." + order.getColumn() + " as at");
          assertThat(text.getSql().contains("desc")).isEqualTo(!order.isAscending());
        }
      }
    }
  }

  @Test
  void ofConditionsNothingIsRemembered() {
    Stretch stretch = Stretch.first(Group.OUR_TURN, SortRow.BY_PLACE, 50);
    for (long asked = 1; asked < 3; asked++) {
      ChoiceRow topic = choice(ids(1), null, null, null, asked);
      assertThat(topic.shape()).isNull();
      BoundSql text = statement.getBoundSql(Map.of("choice", topic, "stretch", stretch));
      assertThat(bound(text)).contains("choice.topic");
    }
  }

  private static List<ChoiceRow> choices() {
    List<ChoiceRow> all = new ArrayList<>();
    for (int walked = 1; walked <= 3; walked++) {
      for (int seen = 0; seen <= 1; seen++) {
        for (int teams = 0; teams <= 2; teams++) {
          for (int lines = 0; lines <= 2; lines++) {
            all.add(choice(ids(walked), orAll(seen), orAll(teams), orAll(lines), null));
          }
        }
      }
    }
    return all;
  }

  private static ChoiceRow choice(
      List<Long> walked,
      @Nullable List<Long> seen,
      @Nullable List<Long> teams,
      @Nullable List<Long> lines,
      @Nullable Long topic) {
    SightColumns sight = new SightColumns(1, seen, teams, null, null);
    return new ChoiceRow(
        sight, walked, false, false, null, null, null, lines, topic, false, false, false, null,
        null, null, null, null, null);
  }

  private static @Nullable List<Long> orAll(int many) {
    return many == 0 ? null : ids(many);
  }

  private static List<Long> ids(int many) {
    return LongStream.rangeClosed(1, many).boxed().toList();
  }

  private static Set<String> bound(BoundSql text) {
    return text.getParameterMappings().stream()
        .map(ParameterMapping::getProperty)
        .collect(Collectors.toCollection(TreeSet::new));
  }

  private static Set<String> expected(ChoiceRow choice, Stretch stretch) {
    Set<String> all =
        new TreeSet<>(
            Arrays.asList("choice.sight.me", "stretch.box", "stretch.depth", "stretch.limit"));
    all.addAll(places("choice.walked", choice.walked()));
    if (choice.sight().lines() != null && choice.sight().teams() != null) {
      all.addAll(places("choice.sight.teams", choice.sight().teams()));
      all.addAll(places("choice.lines", choice.lines()));
    }
    if (stretch.afterAt() != null) {
      all.addAll(List.of("stretch.afterAt", "stretch.afterId"));
    }
    return all;
  }

  private static List<String> places(String list, @Nullable List<Long> ids) {
    return ids == null
        ? List.of()
        : LongStream.range(0, ids.size()).mapToObj(i -> list + "[" + i + "]").toList();
  }
}
