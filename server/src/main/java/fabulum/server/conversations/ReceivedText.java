package fabulum.server.conversations;

import fabulum.core.phone.Sender;
import fabulum.server.lines.LineId;
import java.time.Instant;

/**
 * A text a customer sent. {@code networkId} is the network's name for it, the same however often it
 * is told.
 */
public record ReceivedText(String networkId, LineId line, Sender from, String words, Instant at) {}
