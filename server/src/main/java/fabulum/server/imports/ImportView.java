package fabulum.server.imports;

import fabulum.core.imports.Subject;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * An import.
 *
 * @param subject what it is about
 * @param staffId who handed it in
 * @param act what it is taken back by
 * @param total rows that are taken
 * @param done rows that were looked at so far; while it is taken back: what is left
 * @param added what was new
 * @param changed what was on file and changed
 * @param why why it was taken back, or what of it stays; null for nothing
 */
public record ImportView(
    long id,
    String fileName,
    Subject subject,
    ImportState state,
    @Nullable Long act,
    long staffId,
    Instant madeAt,
    @Nullable Instant doneAt,
    int total,
    int done,
    int added,
    int changed,
    @Nullable String why) {}
