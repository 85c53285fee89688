package fabulum.standins;

import java.io.IOException;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Open handset pages: told that something changed, they look again. */
@Component
class Pages {
  private final Set<SseEmitter> open = ConcurrentHashMap.newKeySet();

  SseEmitter listen() {
    SseEmitter page = new SseEmitter(0L);
    open.add(page);
    page.onCompletion(() -> open.remove(page));
    page.onError(gone -> open.remove(page));
    return page;
  }

  void changed() {
    for (SseEmitter page : open) {
      try {
        page.send(SseEmitter.event().data("changed"));
      } catch (IOException | IllegalStateException gone) {
        open.remove(page);
      }
    }
  }
}
