package fabulum.server.several;

import fabulum.core.access.Act;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.several.store.SeveralDraftMapper;
import java.time.Clock;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The words each person has begun to write to several, with the reference of the act to come. */
@Service
public class SeveralDraft {
  private final SeveralDraftMapper drafts;
  private final Permits permits;
  private final Clock clock;

  SeveralDraft(SeveralDraftMapper drafts, Permits permits, Clock clock) {
    this.drafts = drafts;
    this.permits = permits;
    this.clock = clock;
  }

  /** What someone has begun to write. */
  public Optional<Begun> find(StaffId me) {
    return drafts.find(me.value());
  }

  /** Keeps what someone has begun to write; no words throw it away. */
  @Transactional
  public void keep(StaffId me, String words, String reference) {
    permits.require(me, Act.WORK);
    if (words.isBlank()) {
      drafts.delete(me.value());
    } else {
      drafts.keep(me.value(), words, reference, clock.instant());
    }
  }

  /** The words went out. */
  void sent(StaffId me, String reference) {
    drafts.deleteSent(me.value(), reference);
  }
}
