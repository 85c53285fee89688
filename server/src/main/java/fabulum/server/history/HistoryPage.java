package fabulum.server.history;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A stretch of all that was said, the newest first.
 *
 * @param next where the next stretch begins; null at the end
 * @param count how many there are in all; null but for the first stretch
 * @param many there are at least this number
 * @param hints sentences about words that could not be understood as they were typed
 * @param nearMisses what to look for instead where nothing was found
 * @param percent how much of all that was said can be found by now, 0 to 100
 */
public record HistoryPage(
    List<HistoryRowView> rows,
    @Nullable String next,
    @Nullable Integer count,
    boolean many,
    List<String> hints,
    List<String> nearMisses,
    int percent) {}
