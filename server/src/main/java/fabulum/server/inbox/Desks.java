package fabulum.server.inbox;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.InSight;
import fabulum.server.writing.BegunDraft;
import fabulum.server.writing.Drafts;
import fabulum.server.writing.SecondLook;
import fabulum.server.writing.SecondLooks;
import fabulum.server.writing.ToDo;
import fabulum.server.writing.ToDos;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.ToLongFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/**
 * What lies on a person's desk, whatever the conversation: what they are to do, and what they have
 * begun to write.
 */
@Service
public class Desks {
  private final ToDos toDos;
  private final Drafts drafts;
  private final SecondLooks looks;
  private final InSight inSight;
  private final ConversationViews views;

  Desks(ToDos toDos, Drafts drafts, SecondLooks looks, InSight inSight, ConversationViews views) {
    this.toDos = toDos;
    this.drafts = drafts;
    this.looks = looks;
    this.inSight = inSight;
    this.views = views;
  }

  /**
   * What lies there.
   *
   * @param looks texts that wait for a second look, also their own, the longest first
   * @param toDos the soonest first
   * @param drafts the latest first
   */
  public record Desk(List<DeskLook> looks, List<DeskToDo> toDos, List<DeskDraft> drafts) {
    public Desk {
      looks = List.copyOf(looks);
      toDos = List.copyOf(toDos);
      drafts = List.copyOf(drafts);
    }
  }

  /** A text that waits for a second look, and where. */
  public record DeskLook(long staff, String words, Instant askedAt, ConversationView conversation) {
    static DeskLook of(SecondLook look, ConversationView conversation) {
      return new DeskLook(look.staff(), look.words(), look.askedAt(), conversation);
    }
  }

  /** Something to do, and where. */
  public record DeskToDo(ToDo toDo, ConversationView conversation) {}

  /** Words begun, and where. */
  public record DeskDraft(BegunDraft draft, ConversationView conversation) {}

  /** A person's desk, as far as they still see the conversations. */
  public Desk of(StaffId me) {
    List<SecondLook> waiting = looks.listAll();
    List<ToDo> open = toDos.listOf(me);
    List<BegunDraft> begun = drafts.listOf(me);
    List<ConversationId> ids =
        Stream.of(
                ids(waiting, SecondLook::conversation),
                ids(open, ToDo::conversation),
                ids(begun, BegunDraft::conversationId))
            .flatMap(Function.identity())
            .distinct()
            .toList();
    List<Conversation> seen = ids.isEmpty() ? List.of() : inSight.list(ids, me);
    Map<Long, ConversationView> there =
        (seen.isEmpty() ? List.<ConversationView>of() : views.of(seen))
            .stream().collect(Collectors.toMap(ConversationView::id, Function.identity()));
    return new Desk(
        waiting.stream()
            .filter(one -> there.containsKey(one.conversation()))
            .map(one -> DeskLook.of(one, view(there, one.conversation())))
            .toList(),
        open.stream()
            .filter(one -> there.containsKey(one.conversation()))
            .map(one -> new DeskToDo(one, view(there, one.conversation())))
            .toList(),
        begun.stream()
            .filter(one -> there.containsKey(one.conversationId()))
            .map(one -> new DeskDraft(one, view(there, one.conversationId())))
            .toList());
  }

  private static <T> Stream<ConversationId> ids(List<T> all, ToLongFunction<T> of) {
    return all.stream().map(one -> new ConversationId(of.applyAsLong(one)));
  }

  private static ConversationView view(Map<Long, ConversationView> there, long id) {
    return java.util.Objects.requireNonNull(there.get(id));
  }
}
