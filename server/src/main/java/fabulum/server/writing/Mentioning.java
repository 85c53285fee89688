package fabulum.server.writing;

import fabulum.core.mention.Mentions;
import fabulum.core.mention.Mentions.Mention;
import fabulum.core.mention.Mentions.Name;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import fabulum.server.ownership.Eligible;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.writing.store.WritingMapper;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/** Colleagues whom notes name. */
@Component
class Mentioning {
  private final WritingMapper notes;
  private final Eligible eligible;
  private final People people;
  private final ApplicationEventPublisher events;

  Mentioning(
      WritingMapper notes, Eligible eligible, People people, ApplicationEventPublisher events) {
    this.notes = notes;
    this.eligible = eligible;
    this.people = people;
    this.events = events;
  }

  /** Whom a note names; refused when someone among them does not see the conversation. */
  Set<Long> named(Conversation row, String words) {
    List<StaffView> staff = people.list().stream().filter(StaffView::active).toList();
    Set<Long> named =
        Mentions.find(words, staff.stream().map(one -> new Name(one.id(), one.name())).toList())
            .stream()
            .map(Mention::who)
            .collect(Collectors.toCollection(LinkedHashSet::new));
    List<String> blind =
        staff.stream()
            .filter(one -> named.contains(one.id()) && !eligible.sees(one.id(), row))
            .map(StaffView::name)
            .toList();
    if (!blind.isEmpty()) {
      String names = String.join(" and ", blind);
      throw bad(
          names
              + (blind.size() == 1 ? " does" : " do")
              + " not see this conversation and would not be notified. Nothing was added; remove the name, or hand the conversation over first.");
    }
    return named;
  }

  private static Problem bad(String why) {
    return Problem.fields(List.of(new FieldProblem("words", why)));
  }

  /** Tells those a note names and did not name before. */
  void tell(ConversationId id, EntryId note, Set<Long> named, StaffId by) {
    Set<Long> before = Set.copyOf(notes.listMentioned(note.value()));
    for (long who : named) {
      if (!before.contains(who)) {
        notes.insertMention(note.value(), who);
        events.publishEvent(new ColleagueMentioned(id, note, who, by.value()));
      }
    }
  }
}
