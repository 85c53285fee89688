package fabulum.server.writing;

import fabulum.core.access.Act;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.attachments.AttachmentView;
import fabulum.server.attachments.BegunPaper;
import fabulum.server.attachments.Papers;
import fabulum.server.attachments.Papers.LeftPaper;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.InSight;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.writing.store.DraftMapper;
import fabulum.server.writing.store.LeftDraftRow;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What people have begun to write and not sent, each for themselves. */
@Service
public class Drafts {
  private static final int MOST = 100;

  private final DraftMapper drafts;
  private final InSight inSight;
  private final Permits permits;
  private final Clock clock;
  private final Papers papers;
  private final Bookkeeping books;
  private final People people;

  Drafts(
      DraftMapper drafts,
      InSight inSight,
      Permits permits,
      Clock clock,
      Papers papers,
      Bookkeeping books,
      People people) {
    this.people = people;
    this.papers = papers;
    this.books = books;
    this.drafts = drafts;
    this.inSight = inSight;
    this.permits = permits;
    this.clock = clock;
  }

  /** Keeps what someone has begun to write; no words throw it away. */
  @Transactional
  public void keep(ConversationId id, Draft draft, StaffId by) {
    inSight.row(id, by);
    permits.require(by, Act.WORK);
    if (draft.words().isBlank()) {
      discard(id, draft.paper(), by);
    } else if (!isGone(draft)) {
      drafts.keep(by.value(), id.value(), draft, clock.instant());
    }
  }

  /** Told late: by now these words, or what was typed behind them too, went out. */
  private boolean isGone(Draft draft) {
    return Optional.ofNullable(draft.reference())
        .flatMap(books::findByReference)
        .map(Entry::typedWords)
        .filter(sent -> sent.startsWith(draft.words().strip()))
        .isPresent();
  }

  /**
   * Puts the words of a text that never left onto its writer's paper again, above what they have
   * written since.
   *
   * @param draft as if they had written nothing since
   */
  public void giveBack(ConversationId id, Draft draft, StaffId by) {
    String since =
        list(id, by).stream()
            .filter(begun -> begun.paper() == Paper.REPLY)
            .map(DraftView::words)
            .findFirst()
            .orElse("");
    Draft both =
        since.isBlank() || since.equals(draft.words())
            ? draft
            : draft.saying(draft.words() + "\n" + since);
    drafts.keep(by.value(), id.value(), both, clock.instant());
  }

  /** Lets what goes with a text wait for a second look with it. */
  void waitWith(SecondLook look, List<Long> wanted) {
    papers.waitWith(look.id(), new StaffId(look.staff()), wanted);
  }

  /** What goes with a text that does not wait any more is on its writer's paper again. */
  void giveBackAttachments(SecondLook look) {
    papers.giveBack(look.id());
  }

  /** What goes with texts that wait for a second look, by look. */
  Map<Long, List<AttachmentView>> attachmentsOf(List<Long> looks) {
    return papers.listOfLooks(looks);
  }

  /** What someone has put to a text they write in a conversation. */
  public List<AttachmentView> listAttached(ConversationId id, StaffId by) {
    return papers.listOnPaper(id.value(), by);
  }

  /** Throws away what someone has begun to write on one paper. */
  public void discard(ConversationId id, Paper paper, StaffId by) {
    drafts.delete(by.value(), id.value(), paper);
  }

  /** What someone has begun to write in a conversation. */
  public List<DraftView> list(ConversationId id, StaffId by) {
    return drafts.list(by.value(), id.value());
  }

  /** What someone has begun to write anywhere, the latest first. */
  public List<BegunDraft> listOf(StaffId me) {
    Map<Long, BegunPaper> attached = papers.listBegun(me);
    List<BegunDraft> begun = new ArrayList<>();
    for (BegunDraft draft : drafts.listOf(me.value(), MOST)) {
      BegunPaper paper =
          draft.paper() == Paper.REPLY ? attached.remove(draft.conversationId()) : null;
      begun.add(paper == null ? draft : draft.with(paper.attached()));
    }
    attached.forEach((id, paper) ->
        begun.add(new BegunDraft(id, Paper.REPLY, "", paper.at(), paper.attached())));
    return begun.stream()
        .sorted(Comparator.comparing(BegunDraft::at).reversed())
        .limit(MOST)
        .toList();
  }

  /** What people who have left had begun to write in a conversation; only leads are shown it. */
  public List<LeftDraft> listLeft(ConversationId id, StaffId asking) {
    return permits.of(asking).may(Act.LEAD) ? listLeft(id) : List.of();
  }

  private List<LeftDraft> listLeft(ConversationId id) {
    Map<Long, StaffView> staff = people.byId();
    Map<Long, LeftPaper> attached = papers.listLeft(id.value());
    List<LeftDraft> left = new ArrayList<>();
    for (LeftDraftRow row : drafts.listLeft(id.value())) {
      LeftPaper with = row.paper() == Paper.REPLY ? attached.remove(row.staffId()) : null;
      left.add(left(staff, row, with == null ? List.of() : with.attachments()));
    }
    attached.forEach((who, with) -> {
      LeftDraftRow row = new LeftDraftRow(who, Paper.REPLY, "", with.at());
      left.add(left(staff, row, with.attachments()));
    });
    return left;
  }

  private static LeftDraft left(
      Map<Long, StaffView> staff, LeftDraftRow row, List<AttachmentView> with) {
    StaffView by = staff.get(row.staffId());
    return new LeftDraft(by == null ? "" : by.name(), row.paper(), row.words(), row.at(), with);
  }
}
