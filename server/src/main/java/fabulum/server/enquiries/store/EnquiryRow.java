package fabulum.server.enquiries.store;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** What was handed in. */
public record EnquiryRow(
    long id,
    String reference,
    long formId,
    long lineId,
    String number,
    String name,
    String words,
    String wording,
    Instant cameAt,
    String cameFrom,
    @Nullable String code,
    @Nullable Instant codeUntil,
    int tries,
    @Nullable Instant takenAt) {}
