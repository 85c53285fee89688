package fabulum.server.schedule;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.Conversation;
import fabulum.server.ownership.AnswerGoesTo;
import fabulum.server.schedule.store.PlannedMapper;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Who planned a text and asked to get the conversation when the customer answers it. */
@Component
class AnswersToPlanned implements AnswerGoesTo {
  private final PlannedMapper rows;

  AnswersToPlanned(PlannedMapper rows) {
    this.rows = rows;
  }

  @Override
  public Optional<StaffId> take(Conversation row) {
    Optional<StaffId> asked = rows.findAskedFor(row.id()).map(StaffId::new);
    if (asked.isPresent()) {
      rows.forgetAsked(row.id());
    }
    return asked;
  }
}
