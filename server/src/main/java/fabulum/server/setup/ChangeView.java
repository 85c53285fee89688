package fabulum.server.setup;

import fabulum.server.people.StaffView;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * One thing that was changed.
 *
 * @param subject what it was changed about, such as the line Dock office
 * @param what which of its settings
 * @param before as it was; empty for something new
 * @param after as it is since
 */
public record ChangeView(
    long id,
    Instant at,
    @Nullable StaffView who,
    String subject,
    String what,
    @Nullable String before,
    @Nullable String after) {}
