package fabulum.server.notices;

import fabulum.core.notice.Alerted;
import org.jspecify.annotations.Nullable;

/**
 * One step of an escalation: when, and whom it alerts.
 *
 * @param afterMinutes of working time after the promise is due; negative for before it
 * @param staffId for {@link Alerted#PERSON}
 */
public record EscalationStep(int afterMinutes, Alerted told, @Nullable Long staffId) {

  /** Names it among the steps a wait has taken. At most 20 characters. */
  String key() {
    return afterMinutes + " " + told.name().charAt(0) + (staffId == null ? "" : staffId);
  }
}
