package fabulum.server.notices.store;

import fabulum.core.notice.Alerted;
import fabulum.server.notices.EscalationStep;
import org.jspecify.annotations.Nullable;

/** An escalation step with the team it belongs to. */
public record TeamStepRow(long teamId, int afterMinutes, Alerted told, @Nullable Long staffId) {

  /** The step without its team. */
  public EscalationStep step() {
    return new EscalationStep(afterMinutes, told, staffId);
  }
}
