package fabulum.server.ownership;

import fabulum.server.conversations.script.EntryView;
import fabulum.server.people.StaffView;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a person who has just been handed a conversation needs to know.
 *
 * @param handed the event: who handed it to whom, and why
 * @param from whose it was before; empty for nobody's
 * @param fromSince since when it was theirs
 * @param asked what the customer wrote last
 * @param said what we answered last since it was opened
 * @param due when an answer is due, if the customer waits
 * @param promiseMinutes working time within which it is promised
 * @param notes since the handing over before this one
 * @param toGo texts of ours that have not gone yet
 */
public record SummaryView(
    EntryView handed,
    @Nullable StaffView from,
    @Nullable Instant fromSince,
    @Nullable EntryView asked,
    @Nullable EntryView said,
    @Nullable Instant due,
    long promiseMinutes,
    List<EntryView> notes,
    List<EntryView> toGo) {}
