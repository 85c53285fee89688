package fabulum.server.topics;

import fabulum.core.promise.Promise;
import fabulum.core.text.OneLine;
import fabulum.server.access.TeamId;
import fabulum.server.platform.BriefMemory;
import fabulum.server.platform.CachedSetUp;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.topics.store.TopicMapper;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The topics of the teams. None is ever deleted, so that history can always be read. */
@Service
public class Topics implements CachedSetUp {
  private static final int LONGEST_NAME = 30;

  private final TopicMapper topics;
  private final BriefMemory<Map<Long, TopicView>> all;

  Topics(TopicMapper topics) {
    this.topics = topics;
    this.all = new BriefMemory<>(this::read);
  }

  private Map<Long, TopicView> read() {
    return topics.list().stream().collect(Collectors.toMap(TopicView::id, Function.identity()));
  }

  /** All topics, also retired ones, by team and name; a change is in it a second later at most. */
  public List<TopicView> list() {
    return all.get().values().stream()
        .sorted(
            Comparator.comparingLong(TopicView::teamId)
                .thenComparing(TopicView::name, String.CASE_INSENSITIVE_ORDER))
        .toList();
  }

  /** The topic; a change is in it a second later at most. */
  public Optional<TopicView> find(TopicId id) {
    return Optional.ofNullable(all.get().get(id.value()));
  }

  /** The topic that stands for this one: itself, or what it was merged into. */
  public TopicId standing(TopicId id) {
    return find(id).map(TopicView::mergedInto).map(TopicId::new).orElse(id);
  }

  /** The shortest promise that any of these topics makes; empty when none makes one. */
  public Optional<Promise> shortest(Collection<Long> ids) {
    return ids.stream()
        .map(id -> all.get().get(id))
        .filter(Objects::nonNull)
        .map(TopicView::promiseMinutes)
        .filter(Objects::nonNull)
        .min(Comparator.naturalOrder())
        .map(minutes -> new Promise(Duration.ofMinutes(minutes)));
  }

  /** Adds a topic to a team's list. */
  @Transactional
  public TopicId add(TeamId team, TopicSetup wanted) {
    require(team.value(), 0, wanted);
    long id = topics.insert(team.value(), wanted, wanted.name().strip());
    forget();
    return new TopicId(id);
  }

  /**
   * Renames, recolours, retires or brings back a topic.
   *
   * @param seen the version it was changed from, refused when that is no longer so; empty for
   *     whatever it is now
   */
  @Transactional
  public void change(TopicId id, TopicSetup wanted, @Nullable Long seen) {
    require(present(id).teamId(), id.value(), wanted);
    if (topics.update(id.value(), wanted, wanted.name().strip(), seen) == 0) {
      throw Problem.changedMeanwhile("topic");
    }
    forget();
  }

  /** Retires one topic for another of the same team; conversations are not touched here. */
  @Transactional
  public void merge(TopicId from, TopicId into) {
    TopicView gone = present(from);
    TopicView stays = present(into);
    if (from.equals(into) || gone.teamId() != stays.teamId() || stays.retired()) {
      throw Problem.fields(
          List.of(
              new FieldProblem(
                  "into", "A topic can be merged into another one of its team that is in use.")));
    }
    topics.setMergedInto(from.value(), into.value());
    topics.follow(from.value(), into.value());
    forget();
  }

  /** The topic as the database has it now. */
  public TopicView present(TopicId id) {
    return Optional.ofNullable(read().get(id.value())).orElseThrow(() -> Problem.notFound("topic"));
  }

  private void require(long team, long butNot, TopicSetup wanted) {
    List<FieldProblem> bad = new ArrayList<>();
    String name = wanted.name().strip();
    if (name.isEmpty() || name.length() > LONGEST_NAME) {
      bad.add(new FieldProblem("name", "A topic is a word or two, at most 30 characters."));
    }
    OneLine.objection(name).ifPresent(why -> bad.add(new FieldProblem("name", why)));
    read().values().stream()
        .filter(other -> other.teamId() == team && other.id() != butNot)
        .filter(other -> other.name().equalsIgnoreCase(name))
        .forEach(other ->
            bad.add(
                new FieldProblem(
                    "name",
                    other.retired()
                        ? "The team had this topic and retired it. Bring that one back instead."
                        : "The team already has this topic.")));
    Integer minutes = wanted.promiseMinutes();
    if (minutes != null && !Promise.isPossible(Duration.ofMinutes(minutes))) {
      bad.add(
          new FieldProblem(
              "promiseMinutes", "A promise is between 1 minute and 30 days of working time."));
    }
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
  }

  /** Forgets what is remembered of topics, after a change. */
  @Override
  public void forget() {
    all.forget();
  }
}
