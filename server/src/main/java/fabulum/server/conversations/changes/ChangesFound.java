package fabulum.server.conversations.changes;

import fabulum.server.feed.Change;
import fabulum.server.feed.ChangeFound;
import fabulum.server.topics.TopicId;
import java.util.Objects;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Tells what the feed has of conversations to those who did not hear of it. */
@Component
class ChangesFound {
  private final ApplicationEventPublisher events;

  ChangesFound(ApplicationEventPublisher events) {
    this.events = events;
  }

  @EventListener
  void found(ChangeFound found) {
    Change change = found.change();
    switch (change.kind()) {
      case CONVERSATION ->
          events.publishEvent(ConversationChanged.read(change.subject(), change.detail()));
      case SIGHT ->
          events.publishEvent(
              SightChanged.read(change.subject(), Objects.requireNonNull(change.detail())));
      case TOPICS ->
          events.publishEvent(
              new TopicsMerged(new TopicId(change.subject()), new TopicId(change.version())));
      case SET_UP, PEOPLE, CUSTOMER -> {}
    }
  }
}
