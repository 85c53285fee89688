package fabulum.server.conversations;

import fabulum.core.arrival.Arrival;
import fabulum.core.phone.Sender;
import fabulum.server.lines.LineId;

/**
 * A text a customer sent. {@code networkId} is the network's name for it, the same however often it
 * is told.
 */
public record ReceivedText(
    String networkId, LineId line, Sender from, String words, Arrival when) {}
