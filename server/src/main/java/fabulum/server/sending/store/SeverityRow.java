package fabulum.server.sending.store;

import fabulum.core.sending.Reason;
import fabulum.core.sending.Severity;

/** A reason that weighs something else than usual. */
public record SeverityRow(Reason reason, Severity severity) {}
