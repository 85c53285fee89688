package fabulum.server.setup;

import fabulum.core.access.Act;
import fabulum.server.access.AccessRecord;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.conversations.Conversations;
import fabulum.server.conversations.Reckoning;
import fabulum.server.feed.Change;
import fabulum.server.feed.ChangeFeed;
import fabulum.server.feed.ChangeFound;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineSetup;
import fabulum.server.lines.Lines;
import fabulum.server.lines.SiteView;
import fabulum.server.notices.EscalationStep;
import fabulum.server.notices.Escalations;
import fabulum.server.ownership.OwnedWork;
import fabulum.server.people.TeamView;
import fabulum.server.people.Teams;
import fabulum.server.topics.TopicId;
import fabulum.server.topics.TopicSetup;
import fabulum.server.topics.TopicView;
import fabulum.server.topics.Topics;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sets up lines, sites and topics while everybody works. Each change is kept with who made it and
 * when; what waits is reckoned anew at once, and every open browser is told.
 */
@Service
public class SetUp {
  /** How often what waits is reckoned again after a change, in case a text came in just then. */
  private static final int AGAIN = 2;

  private static final String ESCALATION = "who is told";

  private final Lines lines;
  private final Topics topics;
  private final Teams teams;
  private final Conversations conversations;
  private final Reckoning reckoning;
  private final OwnedWork work;
  private final Escalations escalations;
  private final Permits permits;
  private final AccessRecord record;
  private final ChangeBook changes;
  private final TransactionTemplate transactions;
  private final ChangeFeed feed;
  private final ApplicationEventPublisher events;
  private final AtomicInteger owed = new AtomicInteger();

  SetUp(
      Lines lines,
      Topics topics,
      Teams teams,
      Conversations conversations,
      Reckoning reckoning,
      OwnedWork work,
      Escalations escalations,
      Permits permits,
      AccessRecord record,
      ChangeBook changes,
      TransactionTemplate transactions,
      ChangeFeed feed,
      ApplicationEventPublisher events) {
    this.lines = lines;
    this.topics = topics;
    this.teams = teams;
    this.conversations = conversations;
    this.reckoning = reckoning;
    this.work = work;
    this.escalations = escalations;
    this.permits = permits;
    this.record = record;
    this.changes = changes;
    this.transactions = transactions;
    this.feed = feed;
    this.events = events;
  }

  /**
   * What a change came to.
   *
   * @param id of what was changed or made
   * @param reckoned how many conversations are due at another time than before
   */
  public record Outcome(long id, int reckoned) {}

  /** Sets up a new line. */
  public Outcome addLine(LineSetup wanted, StaffId by) {
    return carryOut(
        by,
        () -> {
          LineId id = lines.add(wanted);
          changes.note(by, subject(wanted), "added", null, null);
          record.noteAll(by, subject(wanted), Map.of(), access(wanted));
          return id.value();
        });
  }

  /**
   * Sets a line up otherwise.
   *
   * @param seen the version it was changed from; empty for whatever it is now
   */
  public Outcome changeLine(LineId id, LineSetup wanted, @Nullable Long seen, StaffId by) {
    return carryOut(
        by,
        () -> {
          LineSetup before = lines.setup(id);
          lines.change(id, wanted, seen);
          LineSetup after = lines.setup(id);
          changes.noteAll(by, subject(before), said(before), said(after));
          record.noteAll(by, subject(before), access(before), access(after));
          return id.value();
        });
  }

  private static String subject(LineSetup line) {
    return "line " + line.name().strip();
  }

  private Map<String, String> said(LineSetup line) {
    return Wording.of(line, this::siteName, this::teamName);
  }

  /** What decides who sees what is on the line. */
  private Map<String, String> access(LineSetup line) {
    return Map.of(
        "team", teamName(line.teamId()), "narrowed", line.narrowed() ? "narrowed" : "not narrowed");
  }

  private String siteName(long id) {
    return lines.listSites().stream()
        .filter(site -> site.id() == id)
        .map(SiteView::name)
        .findFirst()
        .orElse("");
  }

  private String teamName(long id) {
    return teams.list().stream()
        .filter(team -> team.id() == id)
        .map(TeamView::name)
        .findFirst()
        .orElse("");
  }

  /** Gives a line other escalation steps; without any, those of its team hold. */
  public Outcome setEscalation(LineId line, List<EscalationStep> wanted, StaffId by) {
    return carryOut(
        by,
        () -> {
          String subject = subject(lines.setup(line));
          String before = escalations.said(escalations.of(line));
          escalations.set(line, wanted);
          noteEscalation(by, subject, before, escalations.said(escalations.of(line)));
          return line.value();
        });
  }

  /** Gives a team other escalation steps. */
  public Outcome setEscalation(TeamId team, List<EscalationStep> wanted, StaffId by) {
    return carryOut(
        by,
        () -> {
          String subject = "team " + teams.get(team).name();
          String before = escalations.said(escalations.of(team));
          escalations.set(team, wanted);
          noteEscalation(by, subject, before, escalations.said(escalations.of(team)));
          return team.value();
        });
  }

  private void noteEscalation(StaffId by, String subject, String before, String after) {
    changes.noteAll(by, subject, Map.of(ESCALATION, before), Map.of(ESCALATION, after));
  }

  /** Adds a site. */
  public Outcome addSite(String name, StaffId by) {
    return carryOut(
        by,
        () -> {
          SiteView site = lines.addSite(name);
          changes.note(by, "site " + site.name(), "added", null, null);
          return site.id();
        });
  }

  /** Gives a site another name. */
  public Outcome renameSite(long id, String name, StaffId by) {
    return carryOut(
        by,
        () -> {
          String before = siteName(id);
          lines.renameSite(id, name);
          changes.noteAll(
              by, "site " + before, Map.of("name", before), Map.of("name", name.strip()));
          return id;
        });
  }

  /** Adds a topic to a team's list. */
  public Outcome addTopic(TeamId team, TopicSetup wanted, StaffId by) {
    return carryOut(
        by,
        () -> {
          TopicId id = topics.add(team, wanted);
          changes.note(by, "topic " + wanted.name().strip(), "added", null, teamName(team.value()));
          return id.value();
        });
  }

  /**
   * Renames, recolours, retires or brings back a topic, or changes its promise.
   *
   * @param seen the version it was changed from; empty for whatever it is now
   */
  public Outcome changeTopic(TopicId id, TopicSetup wanted, @Nullable Long seen, StaffId by) {
    return carryOut(
        by,
        () -> {
          TopicView before = topics.present(id);
          topics.change(id, wanted, seen);
          changes.noteAll(by, "topic " + before.name(), said(before), said(topics.present(id)));
          return id.value();
        });
  }

  private static Map<String, String> said(TopicView topic) {
    return Wording.of(
        new TopicSetup(topic.name(), topic.colour(), topic.promiseMinutes(), topic.retired()));
  }

  /** Lets one topic stand for another everywhere, and retires that one. */
  public Outcome mergeTopic(TopicId from, TopicId into, StaffId by) {
    return carryOut(
        by,
        () -> {
          String gone = topics.present(from).name();
          String stays = topics.present(into).name();
          topics.merge(from, into);
          int had = conversations.mergeTopic(from.value(), into.value());
          changes.note(by, "topic " + gone, "merged", had + " conversations", stays);
          return into.value();
        });
  }

  /** The change first, then the reckoning: others go on meanwhile. */
  private Outcome carryOut(StaffId by, Supplier<Long> change) {
    permits.require(by, Act.LEAD);
    long id =
        transactions.execute(status -> {
          long changed = change.get();
          feed.append(Change.Kind.SET_UP, changed, 0, null);
          return changed;
        });
    lines.forget();
    topics.forget();
    int reckoned = reckoning.reckonDue();
    work.letGoUnseen();
    owed.set(AGAIN);
    events.publishEvent(new SetUpChanged());
    return new Outcome(id, reckoned);
  }

  /**
   * A text that was coming in while the change was made may have been reckoned by what was before.
   */
  @Scheduled(fixedDelay = 2, timeUnit = TimeUnit.SECONDS)
  void reckonAgain() {
    if (owed.get() > 0) {
      owed.decrementAndGet();
      reckoning.reckonDue();
    }
  }

  @EventListener
  void found(ChangeFound found) {
    if (found.change().kind() == Change.Kind.SET_UP) {
      lines.forget();
      topics.forget();
      events.publishEvent(new SetUpChanged());
    }
  }
}
