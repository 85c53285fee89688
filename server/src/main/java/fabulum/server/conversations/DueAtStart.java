package fabulum.server.conversations;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Hours and promises may have changed while Fabulum was not running. */
@Component
class DueAtStart {
  private static final Logger log = LoggerFactory.getLogger(DueAtStart.class);

  private final Conversations conversations;

  DueAtStart(Conversations conversations) {
    this.conversations = conversations;
  }

  @EventListener(ApplicationReadyEvent.class)
  void reckon() {
    int changed = conversations.reckonDue();
    if (changed > 0) {
      log.info("{} conversations are due at another time than before", changed);
    }
  }
}
