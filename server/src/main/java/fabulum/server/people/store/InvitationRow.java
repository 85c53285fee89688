package fabulum.server.people.store;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A row of invitation. */
public record InvitationRow(
    long id, long staffId, long byId, Instant endsAt, @Nullable Instant usedAt) {}
