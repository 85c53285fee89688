package fabulum.server.several.store;

import fabulum.server.conversations.Moment;
import fabulum.server.several.BatchAct;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A row of batch. The id of a row not yet inserted is 0. */
public record BatchRow(
    long id,
    long staffId,
    Instant at,
    BatchAct.What what,
    @Nullable Long topicId,
    Moment.@Nullable Kind moment,
    @Nullable Instant until,
    @Nullable String words,
    String reference,
    boolean finished) {

  /** The row of an act to be done. */
  public static BatchRow of(BatchAct act, long by, Instant at, String reference) {
    Moment moment = act.moment();
    return new BatchRow(
        0,
        by,
        at,
        act.what(),
        act.topicId(),
        moment == null ? null : moment.kind(),
        moment == null ? null : moment.at(),
        act.words(),
        reference,
        false);
  }
}
