package fabulum.server.inbox;

import fabulum.server.conversations.script.EntryView;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A stretch of a script, oldest first.
 *
 * @param earlier where the stretch before it ends; empty at the very first text
 */
public record ScriptPage(List<EntryView> entries, @Nullable String earlier) {}
