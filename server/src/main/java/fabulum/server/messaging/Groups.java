package fabulum.server.messaging;

import fabulum.core.conversation.Participants;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.ReceivedText;
import fabulum.server.lines.LineId;
import fabulum.server.sending.Decisions;
import fabulum.server.sending.OptedOut;
import java.util.List;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Numbers that leave a group: who opts out gets no texts of it any more, and the others go on in
 * the same conversation.
 */
@Component
class Groups {
  private final Conversations conversations;
  private final Decisions decisions;
  private final Bookkeeping books;

  Groups(Conversations conversations, Decisions decisions, Bookkeeping books) {
    this.conversations = conversations;
    this.decisions = decisions;
    this.books = books;
  }

  /**
   * A text to a group in the conversation it belongs to. Where some have opted out, the network
   * carries the texts of the others as those of a smaller group; they go on where they began.
   */
  ReceivedText placed(ReceivedText text) {
    Participants heard = text.participants();
    if (!heard.isGroup() || conversations.find(text.line(), heard).isPresent()) {
      return text;
    }
    return conversations.listGroups(text.line(), heard).stream()
        .filter(group -> isWithoutThoseWhoLeft(group, heard, text.line()))
        .findFirst()
        .map(text::in)
        .orElse(text);
  }

  private boolean isWithoutThoseWhoLeft(Participants group, Participants heard, LineId line) {
    return group.members().containsAll(heard.members())
        && group.members().stream()
            .filter(one -> !heard.members().contains(one))
            .allMatch(one -> decisions.hasOptedOut(one, line));
  }

  /** Says in each group of a number that opted out that it gets no more texts there. */
  @EventListener
  void left(OptedOut change) {
    for (ConversationId id : conversations.listGroupsOf(change.number())) {
      Conversation row = books.lock(id);
      if (change.line() != null && change.line().value() != row.lineId()) {
        continue;
      }
      long said = books.eventOf(row, EventKind.GROUP_LEFT, change.number());
      books.changed(row.id(), List.of(said));
    }
  }
}
