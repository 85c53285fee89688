package fabulum.server.sentences;

import fabulum.core.access.Act;
import fabulum.core.conversation.Group;
import fabulum.core.sentence.HistorySentence;
import fabulum.core.sentence.ReportSentence;
import fabulum.core.sentence.SentenceText;
import fabulum.core.text.OneLine;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.inbox.Inbox;
import fabulum.server.inbox.InboxCounts;
import fabulum.server.inbox.ListOrder;
import fabulum.server.inbox.Sentences;
import fabulum.server.people.TeamView;
import fabulum.server.people.Teams;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.sentences.store.SentenceMapper;
import fabulum.server.sentences.store.SentenceRow;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sentences that were saved, with how many they mean now. */
@Service
public class SavedSentences {
  private static final int LONGEST_NAME = 60;
  private static final int LONGEST_SENTENCE = 1_000;
  private static final int MOST = 40;

  private final SentenceMapper sentences;
  private final Inbox inbox;
  private final Teams teams;
  private final Permits permits;
  private final Clock clock;

  SavedSentences(SentenceMapper sentences, Inbox inbox, Teams teams, Permits permits, Clock clock) {
    this.clock = clock;
    this.sentences = sentences;
    this.inbox = inbox;
    this.teams = teams;
    this.permits = permits;
  }

  /**
   * A sentence to be saved.
   *
   * @param name 1 to 60 characters
   * @param said as addresses carry it
   * @param group in the inbox
   * @param order in the inbox
   * @param teamId for that team; null for the signed-in person
   */
  public record NewSentence(
      String name,
      String said,
      SavedIn place,
      @Nullable Group group,
      @Nullable ListOrder order,
      @Nullable Long teamId) {}

  /** My own and my teams', by name; each counts as it means for me. */
  public List<SentenceView> list(StaffId me) {
    return sentences.list(me.value()).stream().map(row -> view(row, me)).toList();
  }

  private SentenceView view(SentenceRow row, StaffId me) {
    Group group = row.box();
    if (group == null) {
      return view(row, me, null, false);
    }
    InboxCounts counts = inbox.counts(Sentences.read(row.said()), me);
    int count =
        switch (group) {
          case OUR_TURN -> counts.ourTurn();
          case THEIR_TURN -> counts.theirTurn();
          case SET_ASIDE -> counts.setAside();
          case DONE -> counts.done();
          case BLANK -> 0;
        };
    return view(row, me, count, counts.most() > 0 && count >= counts.most());
  }

  private static SentenceView view(
      SentenceRow row, StaffId me, @Nullable Integer count, boolean many) {
    return new SentenceView(
        row.id(),
        row.name(),
        row.said(),
        row.place(),
        row.box(),
        row.listOrder(),
        row.teamId(),
        row.staffId() == me.value(),
        count,
        many,
        row.staffId() == me.value() && row.mailedSince() != null);
  }

  /** Saves a sentence. */
  @Transactional
  public long save(NewSentence wanted, StaffId by) {
    if (wanted.teamId() != null) {
      permits.require(by, Act.WORK);
    }
    String name = wanted.name().strip();
    if (name.isEmpty() || name.length() > LONGEST_NAME) {
      throw bad("name", "Give it a name of at most 60 characters.");
    }
    OneLine.objection(name)
        .ifPresent(why -> {
          throw bad("name", why);
        });
    String said = written(wanted);
    if (said.length() > LONGEST_SENTENCE) {
      throw bad("said", "This sentence is too long to be saved.");
    }
    Long team = wanted.teamId();
    if (team != null && teams.list().stream().noneMatch(known -> isMember(known, team, by))) {
      throw bad("teamId", "You can save sentences only for your own teams.");
    }
    List<SentenceRow> mine = sentences.list(by.value());
    if (mine.size() >= MOST) {
      throw bad("name", "There are 40 saved sentences already. Delete one first.");
    }
    if (mine.stream().anyMatch(row -> row.name().equalsIgnoreCase(name))) {
      throw bad("name", "There is already a saved sentence with this name.");
    }
    return sentences.insert(
        new SentenceRow(
            0, by.value(), team, name, said, wanted.place(), wanted.group(), wanted.order(), null));
  }

  /** The sentence as it is kept; of the inbox with its group and order, of others without. */
  private static String written(NewSentence wanted) {
    boolean inInbox = wanted.place() == SavedIn.INBOX;
    if (inInbox != (wanted.group() != null) || inInbox != (wanted.order() != null)) {
      throw bad("group", "A sentence of the inbox is saved with its group and order.");
    }
    return Problem.reading(
        "said",
        () ->
            switch (wanted.place()) {
              case INBOX -> SentenceText.write(SentenceText.read(wanted.said()));
              case HISTORY -> HistorySentence.read(wanted.said()).text();
              case REPORTS -> ReportSentence.read(wanted.said()).text();
            });
  }

  /**
   * A sentence of Reports that its maker gets by mail each Monday.
   *
   * @param since when they asked for it
   */
  public record Mailed(long id, String name, String said, StaffId maker, Instant since) {}

  /** All that are sent by mail. */
  public List<Mailed> listMailed() {
    return sentences.listMailed().stream()
        .map(row ->
            new Mailed(
                row.id(),
                row.name(),
                row.said(),
                new StaffId(row.staffId()),
                Objects.requireNonNull(row.mailedSince())))
        .toList();
  }

  /** Lets me get the report of a sentence of mine by mail each Monday, or no more. */
  @Transactional
  public void mail(long id, boolean wanted, StaffId by) {
    permits.require(by, Act.LEAD);
    if (sentences.setMailed(id, by.value(), wanted ? clock.instant() : null) == 0) {
      throw Problem.notFound("saved report of yours");
    }
  }

  private static boolean isMember(TeamView known, long team, StaffId staff) {
    return known.id() == team && known.members().contains(staff.value());
  }

  private static Problem bad(String field, String why) {
    return Problem.fields(List.of(new FieldProblem(field, why)));
  }

  /** Drops one of my own making. */
  @Transactional
  public void drop(long id, StaffId by) {
    if (sentences.delete(id, by.value()) == 0) {
      throw Problem.notFound("saved sentence of yours");
    }
  }
}
