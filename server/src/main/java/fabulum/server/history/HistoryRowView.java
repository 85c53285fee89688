package fabulum.server.history;

import fabulum.core.search.WordQuery.Hit;
import fabulum.server.conversations.script.EntryView;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * An entry with where it was said.
 *
 * @param address the number in E.164, or the sender's name; of a group the first of them
 * @param group whether several numbers are on the other side
 * @param customerName whose conversation it is now
 * @param toIdentify nobody, or more than one, is known to hold the number
 * @param hits where its words have what was looked for, in UTF-16 units, in order
 */
public record HistoryRowView(
    EntryView entry,
    long lineId,
    String address,
    boolean group,
    @Nullable Long customerId,
    @Nullable String customerName,
    boolean toIdentify,
    List<Hit> hits) {}
