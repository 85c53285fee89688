package fabulum.server.notices;

import org.jspecify.annotations.Nullable;

/**
 * Who is alerted when nobody has said for long who writes from a number.
 *
 * @param afterMinutes working minutes of the line since the customer began to wait, 1 to 2,400
 * @param staffId whom; null for nobody
 */
public record IdentifyAlert(int afterMinutes, @Nullable Long staffId) {}
