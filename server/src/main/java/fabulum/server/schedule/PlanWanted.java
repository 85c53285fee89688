package fabulum.server.schedule;

import fabulum.core.schedule.WhenClosed;
import fabulum.core.sending.Reason;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What a person wants to be sent later.
 *
 * @param words as they stand on the paper, or with placeholders
 * @param template from which they were made; null for none
 * @param attachments what goes with it, in order
 * @param at when; of a series not before
 * @param typed the words by which its time is told; kept only when they tell it from an appointment
 * @param rule by which it goes again, in the text of RFC 5545; null for once
 * @param unlessWritten whether it stays here when the customer writes before its time
 * @param comesToMe whether the conversation becomes the writer's when the customer answers it
 * @param confirmed what its writer knows to speak against it
 */
public record PlanWanted(
    String words,
    @Nullable Long template,
    List<Long> attachments,
    Instant at,
    @Nullable String typed,
    @Nullable String rule,
    WhenClosed whenClosed,
    boolean unlessWritten,
    boolean comesToMe,
    Set<Reason> confirmed) {
  public PlanWanted {
    attachments = List.copyOf(attachments);
    confirmed = Set.copyOf(confirmed);
  }
}
