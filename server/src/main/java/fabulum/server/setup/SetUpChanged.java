package fabulum.server.setup;

import fabulum.server.lines.LineId;
import java.util.Optional;

/**
 * Lines, sites or topics are set up otherwise than before.
 *
 * @param added the line that is new, where nothing else is different
 */
public record SetUpChanged(Optional<LineId> added) {}
