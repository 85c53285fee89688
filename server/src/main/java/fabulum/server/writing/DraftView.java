package fabulum.server.writing;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Words begun and not yet sent.
 *
 * @param reference under which they will be sent, made once for them: however often that is tried,
 *     it is done once
 * @param again the text that was not delivered and that they replace
 * @param seen the newest entry that stood there when they were begun
 * @param template from which they were made
 * @param templateVersion the version of that template
 */
public record DraftView(
    Paper paper,
    String words,
    Instant at,
    @Nullable Long seen,
    @Nullable String reference,
    @Nullable Long again,
    @Nullable Long template,
    @Nullable Long templateVersion) {}
