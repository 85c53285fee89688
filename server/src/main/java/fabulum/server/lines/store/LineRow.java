package fabulum.server.lines.store;

import fabulum.core.assignment.Way;
import org.jspecify.annotations.Nullable;

/** A row of line with the name of its site. */
public record LineRow(
    long id,
    String name,
    String site,
    long siteId,
    long teamId,
    String number,
    String region,
    String zone,
    boolean inUse,
    int promiseMinutes,
    @Nullable String holidayCountry,
    @Nullable String holidayRegion,
    Way way,
    boolean narrowed,
    int groupLimit,
    int mostParts,
    boolean registered,
    String signature,
    String reaches,
    String carries,
    int mostKilobytes,
    long version) {}
